// What one can do in a room: speak, show something, leave.
import type { ReactNode } from 'react';
import * as m from '#messages';
import { Button } from '../../../ui/Button';
import type { RoomStay, StayState } from './roomStay';

const canShareScreen = () =>
  typeof (navigator.mediaDevices as MediaDevices | undefined)?.getDisplayMedia === 'function';

const hasPictures = ({ call }: StayState) => [...(call?.people.values() ?? [])].some((one) => one.shares !== null);

/** Sound first: pictures can be done without. */
function PicturesButton({ stay, state }: { stay: RoomStay; state: StayState }) {
  const isOn = state.pictures === 'on';
  if (isOn && !hasPictures(state)) return null;
  return (
    <Button look="quiet" onClick={() => stay.setPictures(!isOn)}>
      {isOn ? m.room_soundOnly() : m.room_showPictures()}
    </Button>
  );
}

export function RoomControls({
  stay,
  state,
  mayShare,
  muted,
  onLeave,
}: {
  stay: RoomStay;
  state: StayState;
  mayShare: boolean;
  /** Where they may not speak: what stands instead of the button that unmutes. */
  muted?: ReactNode;
  onLeave: () => void;
}) {
  const isIn = state.call?.phase === 'in';
  return (
    <div className="flex flex-wrap items-center gap-2">
      {state.pictures === 'slow' && (
        <p role="status" className="basis-full text-sm">
          {m.room_slow()}
        </p>
      )}
      {muted ?? (
        <Button
          className="grow px-4 py-3 font-semibold"
          aria-pressed={state.isMicrophoneOn}
          onClick={() => void stay.setMicrophone(!state.isMicrophoneOn)}
        >
          {state.isMicrophoneOn ? m.room_mute() : m.room_unmute()}
        </Button>
      )}
      {isIn && (
        <Button
          look="quiet"
          aria-pressed={state.shares === 'camera'}
          onClick={() => void stay.share(state.shares === 'camera' ? null : 'camera')}
        >
          {state.shares === 'camera' ? m.room_cameraOff() : m.room_cameraOn()}
        </Button>
      )}
      {isIn && mayShare && canShareScreen() && (
        <Button
          look="quiet"
          aria-pressed={state.shares === 'screen'}
          onClick={() => void stay.share(state.shares === 'screen' ? null : 'screen')}
        >
          {state.shares === 'screen' ? m.room_screenOff() : m.room_screenOn()}
        </Button>
      )}
      {isIn && <PicturesButton stay={stay} state={state} />}
      <Button look="quiet" onClick={onLeave}>
        {m.room_leave()}
      </Button>
    </div>
  );
}
