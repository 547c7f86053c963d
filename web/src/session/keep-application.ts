import { useVersion } from './version.ts';

/** The event of browsers that offer to install an application. */
interface InstallOffer extends Event {
  readonly prompt: () => Promise<unknown>;
}

const LOOK_MS = 30 * 60_000;

/** Waits until the service worker has everything of the application and answers for it. */
async function standsReady(): Promise<void> {
  const { active } = await navigator.serviceWorker.ready;
  if (active === null || active.state === 'activated') return;
  await new Promise<void>((resolve) => {
    active.addEventListener('statechange', () => active.state === 'activated' && resolve());
  });
}

/** Has the device keep the application. A newer version is only told of: it is taken when somebody says so, or at the next start. */
export async function keepApplication(): Promise<void> {
  window.addEventListener('beforeinstallprompt', (event) => {
    event.preventDefault();
    const offer = event as InstallOffer;
    useVersion.setState({ install: () => void offer.prompt().finally(() => useVersion.setState({ install: null })) });
  });
  if (!import.meta.env.PROD || !('serviceWorker' in navigator)) return;
  const { Workbox } = await import('workbox-window');
  const keeper = new Workbox('/keeper.js');
  const take = () => {
    keeper.addEventListener('controlling', () => location.reload());
    keeper.messageSkipWaiting();
  };
  keeper.addEventListener('waiting', () => useVersion.setState({ take }));
  try {
    await keeper.register();
    await standsReady();
    useVersion.setState({ isKept: true });
    window.setInterval(() => void keeper.update().catch(() => undefined), LOOK_MS);
  } catch {
    // a browser that refuses keeps nothing, and works as before
  }
}
