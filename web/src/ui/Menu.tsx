import { DropdownMenu } from 'radix-ui';

interface Item {
  readonly text: string;
  readonly run: () => void;
}

/** What can be done with a thing on a list: one button, arrows and letters choose. */
export function Menu({ label, items }: { readonly label: string; readonly items: readonly Item[] }) {
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger
        aria-label={label}
        className="min-h-9 min-w-9 shrink-0 rounded-sm text-[18px] text-quiet hover:bg-ground hover:text-ink pointer-coarse:min-h-11 pointer-coarse:min-w-11"
      >
        ⋯
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="end"
          className="z-50 min-w-44 border border-line bg-panel py-1 shadow-lg"
        >
          {items.map((i) => (
            <DropdownMenu.Item
              key={i.text}
              onSelect={i.run}
              className="flex min-h-9 cursor-pointer items-center px-4 outline-none data-[highlighted]:bg-chosen data-[highlighted]:text-chosen-ink pointer-coarse:min-h-11"
            >
              {i.text}
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
