// Progress: who can do what, what is missing, what comes next. The class for those who see it, the ladder, standings and logbook of one
// operator, and lessons.
import { useSearchParams } from 'react-router';
import { useOperators } from '~/api/queries';
import { Choice } from '~/kit/Choice';
import { Pick } from '~/kit/Pick';
import { useSession } from '~/shell/session';
import { ClassRoom } from './ClassRoom';
import { HouseRoom } from './HouseRoom';
import { LadderOrder } from './LadderOrder';
import { LadderRoom } from './LadderRoom';
import { LessonsRoom } from './LessonsRoom';
import { LogbookRoom } from './LogbookRoom';
import { StandingRoom } from './StandingRoom';

const ROOMS = {
  class: 'Class',
  ladder: 'Ladder',
  standing: 'Standing',
  logbook: 'Logbook',
  lessons: 'Lessons',
  order: 'Our ladder',
  house: 'House style',
} as const;

type Room = keyof typeof ROOMS;

/** Rooms that show one operator. */
const OF_ONE: Room[] = ['ladder', 'standing', 'logbook'];

export default function ProgressStation() {
  const { user, whose, seesClass, setWhose } = useSession();
  const operators = useOperators(seesClass);
  const [search, setSearch] = useSearchParams();
  const rooms: Room[] = !seesClass
    ? ['ladder', 'standing', 'logbook', 'lessons', 'house']
    : user.role === 'trainer'
      ? ['class', 'ladder', 'standing', 'logbook', 'lessons', 'order', 'house']
      : ['class', 'ladder', 'standing', 'logbook', 'lessons', 'house'];
  const asked = rooms.find((one) => one === search.get('room'));
  const room =
    asked ?? (seesClass && whose === undefined ? 'class' : (rooms.find((one) => one === 'ladder') as Room));
  const one = operators.data?.find((operator) => operator.id === whose);
  const needsOne = seesClass && OF_ONE.includes(room) && whose === undefined && room !== 'logbook';
  const open = (next: Room, operator: number) => {
    setWhose(operator);
    setSearch({ room: next });
  };
  return (
    <main className="p-5 grid grid-cols-[minmax(0,1fr)] gap-3 max-w-7xl mx-auto">
      <div className="flex flex-wrap gap-3 items-end justify-between">
        <h1>{seesClass ? (one?.name ?? 'The class') : 'Your progress'}</h1>
        <div className="w-[44rem] max-w-full min-w-0">
          <Choice
            label="What of it"
            hideLabel
            value={room}
            onChange={(next) => setSearch({ room: next }, { replace: true })}
            options={rooms.map((value) => ({ value, label: ROOMS[value] }))}
          />
        </div>
      </div>
      {needsOne ? (
        <div className="max-w-80">
          <Pick
            label="Whose"
            value=""
            empty="choose an operator"
            options={(operators.data ?? []).map((operator) => ({
              value: String(operator.id),
              label: operator.name,
            }))}
            onChange={(value) => setWhose(Number(value))}
          />
        </div>
      ) : (
        <>
          {room === 'class' && <ClassRoom onOpen={open} />}
          {room === 'ladder' && <LadderRoom operator={whose} />}
          {room === 'standing' && <StandingRoom operator={whose} />}
          {room === 'logbook' && <LogbookRoom operator={whose} />}
          {room === 'lessons' && <LessonsRoom />}
          {room === 'order' && <LadderOrder />}
          {room === 'house' && <HouseRoom operator={whose} />}
        </>
      )}
    </main>
  );
}
