// Pictures and recordings of the sheet that is shown: where they are, how they are kept.
import { createContext } from 'react';
import type { Schema } from '../../api/client';

export interface MediaPlace {
  /** Where a picture or a recording is to be had. */
  at: (id: string) => string;
  /** The sheet they belong to. */
  sheet?: string;
  /** Keeps a picture of the student's own; not there where nothing is kept. */
  put?: (content: string) => Promise<Schema['MediaView']>;
}

/** The teacher's; a student's sheet says its own. */
export const MediaContext = createContext<MediaPlace>({ at: (id) => `/api/staff/media/${id}` });
