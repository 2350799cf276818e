// The error boundary: says that something broke, that nothing was lost, and offers the way back.
import { isRouteErrorResponse, useRouteError } from 'react-router';
import { Problem } from '~/api/client';
import { buttonLook } from '~/kit/Button';
import { NoNetwork } from './NoNetwork';

export function Broken() {
  const error = useRouteError();
  if (error instanceof Problem && error.isOffline) return <NoNetwork />;
  const words =
    error instanceof Problem
      ? error.words
      : isRouteErrorResponse(error)
        ? 'There is no such page.'
        : 'Something broke while this page was drawn. Your shots and takes are safe on the server.';
  return (
    <main className="p-8 max-w-xl grid gap-4 justify-items-start">
      <h1>{error instanceof Problem ? error.details.title : 'This page did not open'}</h1>
      <p className="m-0">{words}</p>
      <div className="flex gap-2">
        <a className={buttonLook(true)} href={window.location.pathname}>
          Try again
        </a>
        <a className={buttonLook()} href="/">
          Back to Today
        </a>
      </div>
    </main>
  );
}
