import type { ReactNode } from 'react';
import { FormTrouble } from '../forms/FormTrouble.tsx';
import { Button } from '../ui/Button.tsx';
import { Heading } from '../ui/Heading.tsx';

interface Props {
  readonly title: string;
  readonly button: string;
  readonly isBusy: boolean;
  readonly trouble: string | null;
  readonly onSubmit: () => void;
  readonly children: ReactNode;
}

/** A page before the shop: one form, in the middle. */
export function Doorway({ title, button, isBusy, trouble, onSubmit, children }: Props) {
  return (
    <main className="flex h-full items-start justify-center overflow-y-auto bg-ground p-4 pt-[12vh]">
      <form
        onSubmit={(e) => {
          e.preventDefault();
          if (!isBusy) onSubmit();
        }}
        className="flex w-[min(440px,100%)] flex-col gap-4 border border-line border-t-4 border-t-mark bg-panel p-6"
      >
        <span className="figure text-[16px] text-quiet">Calvetta</span>
        <Heading title={[title]} className="-mt-3 text-[26px]">
          {title}
        </Heading>
        {children}
        <FormTrouble words={trouble} />
        <Button look="main" type="submit" className="self-start" disabled={isBusy}>
          {button}
        </Button>
      </form>
    </main>
  );
}

/** Without TLS it is said where it matters: before anything is typed. */
export const InTheClear = () => (
  <p className="border-l-4 border-mark bg-ground p-3 text-[14px]">
    What you type here goes over the network unencrypted: anyone on it can read it. Use a phrase that you use
    nowhere else.
  </p>
);
