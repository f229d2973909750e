import { useState } from 'react';
import { headless } from './headlessLater';

/** What somebody began to do with a button whose list or slip is still on its way; it is gone on with when it has come. */
export type Wanted = 'nothing' | 'focus' | 'press';

/** The button may be made anew meanwhile: it is known by its name. */
let last: { name: string; wanted: Wanted } = { name: '', wanted: 'nothing' };

export function useWanted(name: string) {
  const [wanted, setWanted] = useState<Wanted>(() => (last.name === name ? last.wanted : 'nothing'));
  const begin = (what: Wanted) => {
    last = { name, wanted: what };
    setWanted(what);
  };
  return {
    wanted,
    still: {
      onFocus: () => begin(wanted === 'press' ? wanted : 'focus'),
      onBlur: () => begin('nothing'),
      onClick: () => {
        begin('press');
        void headless.load();
      },
    },
  };
}

/** Gone on with: not once more, when the next button of this name is shown. */
export function haveGoneOn(): void {
  last = { name: '', wanted: 'nothing' };
}
