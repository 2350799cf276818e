// The one thing of Node that a unit test uses: reading a file of the project. The page itself knows nothing of Node.
declare module 'node:fs' {
  export function readFileSync(path: string, encoding: 'utf8'): string;
}
