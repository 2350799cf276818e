// What stands before the application: a form in the middle of an empty page.
import type { ReactNode } from 'react';

export function Door({ title, children }: { title: string; children: ReactNode }) {
  return (
    <main className="min-h-screen grid place-items-center p-5">
      <div className="bg-card border border-line rounded-md p-6 w-full max-w-md grid gap-4">
        <h1>{title}</h1>
        {children}
      </div>
    </main>
  );
}
