// Whether what is said in a room is recorded.
import { useEffect, useState } from 'react';
import type { Message } from '../../../api/stream/message';
import type { StreamHandlers } from '../../../api/stream/stream';

type Heard = Message<'RecordingMessage'> | { kind: string };
const isRecording = (message: Heard): message is Message<'RecordingMessage'> => message.kind === 'recording';

/**
 * @param entered what was said when the page was let in; null: it is in no room
 * @param hear    the stream
 */
export function useRecorded(
  entered: { place: string; recorded: boolean } | null,
  hear: (handlers: StreamHandlers<Heard>) => () => void,
): boolean {
  const [heard, setHeard] = useState<{ since: object; on: boolean } | null>(null);
  useEffect(() => {
    if (entered === null) return undefined;
    return hear({
      onMessage: (message) => {
        if (isRecording(message) && message.place === entered.place) setHeard({ since: entered, on: message.on });
      },
      onLookAgain: () => undefined,
    });
  }, [entered, hear]);
  if (entered === null) return false;
  return heard !== null && heard.since === entered ? heard.on : entered.recorded;
}
