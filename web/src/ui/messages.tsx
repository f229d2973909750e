import { createContext, useCallback, useContext, useMemo, useRef, useState, type ReactNode } from 'react';
import { problemText } from '../api/problem';
import { words } from '../words';
import { Button } from './Button';

interface Message {
  id: number;
  text: string;
  bad: boolean;
  undo?: (() => void) | undefined;
}

interface Messages {
  say: (text: string, undo?: () => void) => void;
  /** Says what went wrong in the server's words, or in ours where it did not answer. */
  fail: (error: unknown) => void;
}

const Context = createContext<Messages>({ say: () => undefined, fail: () => undefined });

const shownFor = 8_000;

export function useMessages(): Messages {
  return useContext(Context);
}

/**
 * Short messages over the head of the page, with Undo where there is something to undo: there they cover neither the floor
 * nor the shelf nor what is pressed next.
 */
export function MessagesProvider({ children }: { children: ReactNode }) {
  const [messages, setMessages] = useState<Message[]>([]);
  const next = useRef(1);
  const drop = useCallback((id: number) => setMessages((all) => all.filter((one) => one.id !== id)), []);
  const add = useCallback(
    (message: Omit<Message, 'id'>) => {
      const id = next.current++;
      setMessages((all) => [...all.filter((one) => one.text !== message.text).slice(-2), { ...message, id }]);
      setTimeout(() => drop(id), shownFor);
    },
    [drop],
  );
  const value = useMemo<Messages>(
    () => ({
      say: (text, undo) => add({ text, bad: false, undo }),
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
          <div
            key={message.id}
            className={`pointer-events-auto flex max-w-xl items-center gap-4 border-2 px-4 py-1 shadow-lg ${message.bad ? 'border-lost bg-lost-wash' : 'border-ink bg-sheet'}`}
          >
            <span>{message.text}</span>
            {message.undo !== undefined && (
              <Button
                look="quiet"
                onClick={() => {
                  message.undo?.();
                  drop(message.id);
                }}
              >
                {words.common.undo}
              </Button>
            )}
          </div>
        ))}
      </div>
    </Context>
  );
}
