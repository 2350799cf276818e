// A dialog over the page, closed by Escape or a press outside.
import { X } from 'lucide-react';
import { Dialog } from 'radix-ui';
import type { ReactNode } from 'react';

type Props = { open: boolean; onClose: () => void; title: string; children: ReactNode };

export function Sheet({ open, onClose, title, children }: Props) {
  return (
    <Dialog.Root open={open} onOpenChange={(next) => !next && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 bg-ink/40 z-40" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed z-50 left-1/2 top-1/2 -translate-x-1/2 -translate-y-1/2 bg-card border border-line rounded-md p-5 w-[min(34rem,92vw)] max-h-[88vh] overflow-auto grid gap-4"
        >
          <div className="flex justify-between items-start gap-4">
            <Dialog.Title className="text-lg font-bold m-0">{title}</Dialog.Title>
            <Dialog.Close
              aria-label="Close"
              className="size-11 -m-2 grid place-items-center rounded-md cursor-pointer"
            >
              <X size={18} aria-hidden />
            </Dialog.Close>
          </div>
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
