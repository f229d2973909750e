// Ways to look at one thing.
import { headless } from '../later/headlessLater';
import { useLater } from '../later/later';

export interface TabsProps<T extends string> {
  label: string;
  tabs: readonly { value: T; label: string }[];
  shown: T;
  onShow: (value: T) => void;
}

export const tabsLook = 'flex max-w-full gap-1 overflow-x-auto overflow-y-hidden';
export const tabLook =
  'border-b-4 border-transparent px-3 py-1.5 font-semibold whitespace-nowrap text-soft hover:border-line data-selected:border-ink data-selected:text-ink';

/** Ways to look at one thing, one at a time. */
export function Tabs<T extends string>(props: TabsProps<T>) {
  const parts = useLater(headless);
  if (parts !== null) return <parts.Tabs {...props} />;
  return (
    <div role="tablist" aria-label={props.label} className={tabsLook}>
      {props.tabs.map((tab) => (
        <button
          key={tab.value}
          type="button"
          role="tab"
          aria-selected={tab.value === props.shown}
          data-selected={tab.value === props.shown ? '' : undefined}
          className={tabLook}
          onClick={() => props.onShow(tab.value)}
        >
          {tab.label}
        </button>
      ))}
    </div>
  );
}
