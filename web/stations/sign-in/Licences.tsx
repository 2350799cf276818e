// What Larkspur is made of: every package that ships with it, with its licence, read from the packages themselves at the build.
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { Field } from '~/kit/Field';
import { Skeleton } from '~/kit/Skeleton';

type Package = { name: string; version: string; kind: string; licence: string; text: string };

export default function Licences() {
  const [find, setFind] = useState('');
  const packages = useQuery({
    queryKey: ['licences'],
    queryFn: async () => (await (await fetch('/build/licences.json')).json()) as Package[],
    staleTime: Infinity,
  });
  const shown = (packages.data ?? []).filter((one) =>
    `${one.name} ${one.licence}`.toLowerCase().includes(find.toLowerCase()),
  );
  return (
    <main className="p-5 grid gap-3 max-w-3xl mx-auto">
      <h1>What Larkspur is made of</h1>
      <p className="m-0">
        {packages.data ? `${packages.data.length} packages` : 'Packages'} of others ship with it. Their
        licences, as they come with them:
      </p>
      <Field label="Find" value={find} onChange={(event) => setFind(event.target.value)} />
      {packages.isPending ? (
        <Skeleton className="h-80" />
      ) : packages.isError ? (
        <p className="m-0">The list is made when the pages are built; here it is missing.</p>
      ) : (
        <ul className="m-0 p-0 list-none" data-list="licences">
          {shown.map((one) => (
            <li key={`${one.kind} ${one.name} ${one.version}`} className="border-t border-line py-2">
              <details>
                <summary className="cursor-pointer min-h-6">
                  {one.name} {one.version}, {one.kind}: {one.licence}
                </summary>
                <pre className="whitespace-pre-wrap text-sm m-0 mt-2">{one.text}</pre>
              </details>
            </li>
          ))}
        </ul>
      )}
      <Link to="/">Back to Larkspur</Link>
    </main>
  );
}
