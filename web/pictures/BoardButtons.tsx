// Nearer, farther and all of it: what a pinch does, for whoever has a mouse or a keyboard.
type Props = {
  board: { own: boolean; nearer: () => void; farther: () => void; whole: () => void };
  /** Shown only while the keyboard is there or the board has been moved: unseen, they must not lie over a handle. */
  shy?: boolean;
};

export function BoardButtons({ board, shy = false }: Props) {
  const buttons = [
    { name: 'Nearer', sign: '+', go: board.nearer },
    { name: 'Farther', sign: '−', go: board.farther },
    { name: 'All of it', sign: 'All', go: board.whole },
  ];
  return (
    <div
      className={`absolute right-2 bottom-2 flex gap-1 ${shy && !board.own ? 'opacity-0 pointer-events-none focus-within:opacity-100 focus-within:pointer-events-auto' : ''}`}
    >
      {buttons.map((one) => (
        <button
          key={one.name}
          type="button"
          aria-label={one.name}
          className="min-w-11 min-h-11 rounded-md border border-line bg-card cursor-pointer"
          onClick={one.go}
        >
          {one.sign}
        </button>
      ))}
    </div>
  );
}
