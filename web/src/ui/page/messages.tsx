// What a page says of what was done or went wrong, with Undo.
import { createContext, useCallback, useContext, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { problemText } from '../../api/problem';
import * as m from '#messages';
import { Button } from '../Button';

interface Message {
  id: number;
  text: string;
  bad: boolean;
  undo?: (() => void) | undefined;
  /** The page it was said on: it stays until that is left. */
  page?: string | undefined;
}

interface Messages {
  say: (text: string, undo?: () => void) => void;
  /** As `say`, and it can be undone until the page is left. */
  sayHere: (text: string, undo: () => void) => void;
  /** Says what went wrong in the server's words, or in ours where it did not answer. */
  fail: (error: unknown) => void;
}

const Context = createContext<Messages>({ say: () => undefined, sayHere: () => undefined, fail: () => undefined });

const shownFor = 8_000;

export function useMessages(): Messages {
  return useContext(Context);
}

function MessageBox({ message: { text, bad, undo, page }, onDrop }: { message: Message; onDrop: () => void }) {
  return (
    <div
      className={`pointer-events-auto flex max-w-xl items-center gap-4 border-2 px-4 py-1 shadow-lg ${bad ? 'border-lost bg-lost-wash' : 'border-ink bg-sheet'}`}
    >
      <span>{text}</span>
      {undo !== undefined && (
        <Button
          look="quiet"
          onClick={() => {
            undo();
            onDrop();
          }}
        >
          {m.common_undo()}
        </Button>
      )}
      {page !== undefined && (
        <Button look="quiet" aria-label={m.common_close()} onClick={onDrop}>
          ×
        </Button>
      )}
    </div>
  );
}

/**
 * Short messages over the head of the page, with Undo where there is something to undo: there they cover neither the
 * floor nor the shelf nor what is pressed next.
 */
export function MessagesProvider({ children }: { children: ReactNode }) {
  const [messages, setMessages] = useState<Message[]>([]);
  const next = useRef(1);
  const drop = useCallback((id: number) => setMessages((all) => all.filter((one) => one.id !== id)), []);
  const add = useCallback(
    (message: Omit<Message, 'id'>) => {
      const id = next.current++;
      setMessages((all) => [...all.filter((one) => one.text !== message.text).slice(-2), { ...message, id }]);
      if (message.page === undefined) setTimeout(() => drop(id), shownFor);
    },
    [drop],
  );
  // Whatever page is left, by whatever way: what was said there goes.
  useEffect(() => {
    if (!messages.some((one) => one.page !== undefined)) return;
    const look = setInterval(
      () => setMessages((all) => all.filter((one) => one.page === undefined || one.page === location.pathname)),
      300,
    );
    return () => clearInterval(look);
  }, [messages]);
  const value = useMemo<Messages>(
    () => ({
      say: (text, undo) => add({ text, bad: false, undo }),
      sayHere: (text, undo) => add({ text, bad: false, undo, page: location.pathname }),
      fail: (error) => add({ text: problemText(error), bad: true }),
    }),
    [add],
  );
  return (
    <Context value={value}>
      {children}
      <div
        role="status"
        aria-live="polite"
        className="pointer-events-none fixed inset-x-0 top-1 z-50 flex flex-col items-center gap-2 px-4"
      >
        {messages.map((message) => (
          <MessageBox key={message.id} message={message} onDrop={() => drop(message.id)} />
        ))}
      </div>
    </Context>
  );
}
