import { Tabs } from 'radix-ui'

/** The names of what lies below, of which one is shown. */
export function TabList({ label, tabs }: { label: string; tabs: { id: string; name: string }[] }) {
  return (
    <Tabs.List aria-label={label} className="border-rim flex flex-wrap gap-1 border-b-[3px]">
      {tabs.map((each) => (
        <Tabs.Trigger
          key={each.id}
          value={each.id}
          className="data-[state=active]:bg-rim data-[state=active]:text-on-rim text-soft min-h-11 px-4 data-[state=active]:font-semibold max-sm:px-2.5"
        >
          {each.name}
        </Tabs.Trigger>
      ))}
    </Tabs.List>
  )
}
