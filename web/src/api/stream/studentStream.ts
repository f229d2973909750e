// What a student's page hears.
import { api, take } from '../client';
import type { Message } from './message';
import { shareStream } from './sharedStream';

/** What a student's page hears. */
export type StudentMessage =
  | Message<'RoundMessage'>
  | Message<'NoticeMessage'>
  | Message<'SignUpMessage'>
  | Message<'SeenMessage'>
  | Message<'FetchedMessage'>
  | Message<'RefreshHint'>
  | Message<'AnswerMessage'>
  | Message<'ChangeMessage'>
  | Message<'MarginMessage'>
  | Message<'DebriefMessage'>
  | Message<'DebriefHint'>;

/** One stream for the whole window. @returns how to stop hearing */
export const hear = shareStream<StudentMessage>(() => take(api.GET('/api/student/stream')));
