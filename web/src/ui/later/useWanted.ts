import { useState } from 'react';
import { headless } from './headlessLater';

/**
 * What the user did with a button before the code of its list or slip was loaded. It is repeated once the code is
 * there.
 */
export type Wanted = 'nothing' | 'focus' | 'press';

/** Kept outside the component, by the button's name: the button may be mounted again meanwhile. */
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

/** To be called once it has been repeated, so that the next button of this name does not repeat it again. */
export function haveGoneOn(): void {
  last = { name: '', wanted: 'nothing' };
}
