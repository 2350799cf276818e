// Registers the worker that keeps the application on the device, and has it look for a newer build at each start.
export function keepOffline(): void {
  if (!('serviceWorker' in navigator)) return;
  window.addEventListener('load', async () => {
    try {
      const registration = await navigator.serviceWorker.register('/sw.js');
      registration.active?.postMessage('gather');
    } catch {
      // Without it everything works as long as there is a network.
    }
  });
}
