import { DropdownMenu } from 'radix-ui';

/** Acts that are seldom wanted, behind one button where there is no room for them side by side. */
export const Menu = (props: {
  readonly label: string;
  readonly items: ReadonlyArray<{ readonly text: string; readonly run: () => void }>;
}) => (
  <DropdownMenu.Root modal={false}>
    <DropdownMenu.Trigger className="min-h-10 rounded-bench border border-transparent px-3 hover:border-rim">
      {props.label}
    </DropdownMenu.Trigger>
    <DropdownMenu.Portal>
      <DropdownMenu.Content
        align="end"
        sideOffset={4}
        className="z-30 min-w-40 rounded-bench border border-ink bg-soap py-1 shadow-lg"
      >
        {props.items.map(item => (
          <DropdownMenu.Item
            key={item.text}
            onSelect={item.run}
            className="flex min-h-11 cursor-pointer items-center px-4 outline-none data-[highlighted]:bg-ink data-[highlighted]:text-soap"
          >
            {item.text}
          </DropdownMenu.Item>
        ))}
      </DropdownMenu.Content>
    </DropdownMenu.Portal>
  </DropdownMenu.Root>
);
