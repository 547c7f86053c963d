import { useState } from 'react';
import { useLocation } from 'react-router';
import { ApiFault } from '../../api/client.ts';

/** What stands behind the `#` of the address: no server is sent it. */
export function useToken(): string {
  return useLocation().hash.slice(1);
}

/** A form that is sent once at a time and says what went wrong. */
export function useSending(work: () => Promise<unknown>) {
  const [fault, setFault] = useState<string | null>(null);
  const [isSending, setSending] = useState(false);
  const send = async () => {
    setFault(null);
    setSending(true);
    try {
      await work();
    } catch (error) {
      setFault(error instanceof ApiFault ? error.message : String(error));
    } finally {
      setSending(false);
    }
  };
  return { fault, isSending, send };
}
