// Tabs and what each shows.
import { Tab, TabGroup, TabList } from '@headlessui/react';
import { tabLook, tabsLook, type TabsProps } from '../page/Tabs';

export function Tabs<T extends string>({ label, tabs, shown, onShow }: TabsProps<T>) {
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
      <TabList aria-label={label} className={tabsLook}>
        {tabs.map((tab) => (
          <Tab key={tab.value} className={tabLook}>
            {tab.label}
          </Tab>
        ))}
      </TabList>
    </TabGroup>
  );
}
