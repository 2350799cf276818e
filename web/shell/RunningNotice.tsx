// For trainers: that logs stand still or that the server is full, while that lasts.
import { useQuery } from '@tanstack/react-query';
import { answered, api } from '~/api/client';
import { Notice } from '~/kit/Notice';

export function RunningNotice() {
  const running = useQuery({
    queryKey: ['running'],
    queryFn: () => answered(api.GET('/running')),
    refetchInterval: 30_000,
    retry: false,
  }).data;
  if (running === undefined || (!running.late && running.room && running.workers > 0)) return null;
  const words = [
    running.workers === 0
      ? 'Nothing reads logs on this server just now: logs that are sent wait, and nothing of them is lost.'
      : running.late
        ? `Logs take longer than they should: the oldest has been under way for ${Math.max(1, Math.round((running.oldest_s ?? 0) / 60))} min. Nothing is lost; they go on by themselves.`
        : '',
    running.room
      ? ''
      : 'The server’s disk is full: nothing new is taken until there is room. Tell whoever runs it.',
  ].filter((one) => one !== '');
  return (
    <div className="px-5 pt-3">
      <Notice text={words.join(' ')} />
    </div>
  );
}
