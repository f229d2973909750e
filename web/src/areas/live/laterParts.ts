// What areas that come after this one put into its pages.
import { createContext, type ComponentType, type ReactNode } from 'react';
import type { Schema } from '../../api/client';
import type { LessonDesk } from './page/useLessonDesk';

type Lesson = Schema['LessonView'];

/** A place in a copy: the copy, a page of it, a question, one answer to that. */
export interface WorkPlace {
  copy: string;
  page?: string;
  slot?: string;
  /** Whose answer of those to the question. */
  owner?: string;
}

/** What is put into a lesson's page. */
export interface LessonParts {
  /** A line over the page. */
  Bar: ComponentType<{ lesson: Lesson }>;
  /** Under the running order, while the lesson is in no groups. */
  RibbonLine: ComponentType<{ lesson: Lesson }>;
  /** What the view is called that comes before all others; null while there is none. */
  useView: (lesson: Lesson) => string | null;
  View: ComponentType<{ desk: LessonDesk }>;
  /** Around the floor. */
  AroundFloor: ComponentType<{ desk: LessonDesk; children: ReactNode }>;
  /** At the top of the panel while everybody is together; under it, the plan of what comes next. */
  Panel: ComponentType<{ desk: LessonDesk; children: ReactNode }>;
  /** The work of all groups by questions and not by groups; null while there is none. */
  WorkByQuestion: ComponentType<{ lesson: Lesson; onOpen: (group: string) => void }> | null;
  /** Under the plan of a lesson that has not begun: what can be tried out beforehand. */
  TryOut: ComponentType<{ desk: LessonDesk }>;
  /** What can be done with a piece of work that lies open; by a key, too, where it is the page that lies open. */
  WorkPress: ComponentType<{ lesson: Lesson; place: WorkPlace; byKey?: boolean; small?: boolean }>;
}

const nothing = () => null;

export const LessonPartsContext = createContext<LessonParts>({
  Bar: nothing,
  RibbonLine: nothing,
  useView: nothing,
  View: nothing,
  AroundFloor: ({ children }) => children,
  Panel: ({ children }) => children,
  WorkByQuestion: null,
  TryOut: nothing,
  WorkPress: nothing,
});

/** What is put around a student's page. */
export type AroundStudent = ComponentType<{ now: Schema['StudentNow']; children: ReactNode }>;

/** What is put around what the class page shows, under its head. */
export type AroundWall = ComponentType<{ token: string; children: ReactNode }>;
