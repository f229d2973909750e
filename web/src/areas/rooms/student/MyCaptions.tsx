// What is said in the room a student is in, in words.
import { api, take } from '../../../api/client';
import { hear } from '../../../api/stream/studentStream';
import { CaptionLines } from '../own/CaptionLines';
import { useCaptions } from '../own/useCaptions';

const ask = () => take(api.GET('/api/student/captions'));

export function MyCaptions({ place }: { place: string }) {
  return <CaptionLines lines={useCaptions(place, ask, hear)} />;
}
