import { useNavigate } from 'react-router';
import { useRun } from './run-store.ts';
import { beginRun, type RunBlock } from './session-run.ts';

/** The way into a session: with blocks of one's own, or on with the one under way. */
export function useSession(): { readonly begin: (blocks: readonly RunBlock[]) => void; readonly goOn: () => void } {
  const navigate = useNavigate();
  const goOn = () => void navigate('/practice/session');
  const begin = (blocks: readonly RunBlock[]) => {
    useRun.setState({ run: beginRun(crypto.randomUUID(), blocks, Date.now()) });
    goOn();
  };
  return { begin, goOn };
}
