// What a page of the teacher's hears.
import { api, take } from '../client';
import type { Message } from './message';
import { shareStream } from './sharedStream';

/** What a page of the teacher's hears; each says what it is about. */
export type StaffMessage =
  | Message<'LessonHint'>
  | Message<'DeskHint'>
  | Message<'AnswerMessage'>
  | Message<'ChangeMessage'>
  | Message<'MarginMessage'>
  | Message<'DebriefHint'>
  | Message<'CaptionMessage'>
  | Message<'RecordingMessage'>;

/** One stream for the whole window. @returns how to stop hearing */
export const hear = shareStream<StaffMessage>(() => take(api.GET('/api/staff/stream')));
