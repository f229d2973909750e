import { Tab, TabGroup, TabList } from '@headlessui/react';

/** Ways to look at one thing, one at a time. */
export function Tabs<T extends string>({
  label,
  tabs,
  shown,
  onShow,
}: {
  label: string;
  tabs: readonly { value: T; label: string }[];
  shown: T;
  onShow: (value: T) => void;
}) {
  return (
    <TabGroup
      selectedIndex={Math.max(
        0,
        tabs.findIndex((tab) => tab.value === shown),
      )}
      onChange={(at) => {
        const tab = tabs[at];
        if (tab !== undefined) onShow(tab.value);
      }}
    >
      <TabList aria-label={label} className="flex max-w-full gap-1 overflow-x-auto overflow-y-hidden">
        {tabs.map((tab) => (
          <Tab
            key={tab.value}
            className="border-b-4 border-transparent px-3 py-1.5 font-semibold whitespace-nowrap text-soft hover:border-line data-selected:border-ink data-selected:text-ink"
          >
            {tab.label}
          </Tab>
        ))}
      </TabList>
    </TabGroup>
  );
}
