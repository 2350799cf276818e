// A shot whose kept plan can't be read any more: said, and removed where somebody wants that.
import { useQueryClient } from '@tanstack/react-query';
import { Link, useNavigate } from 'react-router';
import { answered, api, type Schemas } from '~/api/client';
import { buttonLook } from '~/kit/Button';
import { Notice } from '~/kit/Notice';
import { Remove } from '~/kit/Remove';

export function DamagedShot({ shot }: { shot: Schemas['Shot'] }) {
  const client = useQueryClient();
  const navigate = useNavigate();
  return (
    <main className="p-5 grid gap-3 max-w-2xl justify-items-start">
      <h1>{shot.title}</h1>
      <Notice text="What is kept of this shot can’t be read any more. Nothing else is touched by it; a backup may still have it whole." />
      <Link className={buttonLook()} to="/plan/new">
        A new shot
      </Link>
      <Remove
        what="this shot"
        ask={() => answered(api.DELETE('/shots/{shot}', { params: { path: { shot: shot.id } } }))}
        words="It is gone for good then. One that was flown stays, for its takes are judged against it."
        onRemoved={() => {
          for (const key of ['shots', 'days', 'day', 'today'])
            void client.invalidateQueries({ queryKey: [key] });
          navigate('/plan/new');
        }}
      />
    </main>
  );
}
