import qrcode from 'qrcode-generator';
import { useMemo, useState } from 'react';
import { Button } from '../../ui/Button';
import { useMessages } from '../../ui/messages';
import { Sheet } from '../../ui/Sheet';
import { words } from '../../words';

const quiet = 4;

/** A square code that a phone reads. It stays dark on light in both schemes, as cameras want it. */
function Code({ text }: { text: string }) {
  const { size, path } = useMemo(() => {
    const code = qrcode(0, 'M');
    code.addData(text);
    code.make();
    const modules = code.getModuleCount();
    let drawn = '';
    for (let row = 0; row < modules; row++) {
      for (let column = 0; column < modules; column++) {
        if (code.isDark(row, column)) drawn += `M${column + quiet} ${row + quiet}h1v1h-1z`;
      }
    }
    return { size: modules + 2 * quiet, path: drawn };
  }, [text]);
  return (
    <svg
      viewBox={`0 0 ${size} ${size}`}
      role="img"
      aria-label={words.door.code}
      className="w-full max-w-80 border border-line"
    >
      <rect width={size} height={size} fill="#fff" />
      <path d={path} fill="#000" shapeRendering="crispEdges" />
    </svg>
  );
}

/** The way in, to be shown on a wall or sent on: a press on the door word opens it. */
export function DoorSign({ doorWord, className = '' }: { doorWord: string; className?: string }) {
  const [open, setOpen] = useState(false);
  const { say } = useMessages();
  const link = `${window.location.origin}/student?door=${encodeURIComponent(doorWord).replaceAll('%20', '+')}`;
  const copy = () =>
    void navigator.clipboard.writeText(link).then(
      () => say(words.door.copied),
      () => undefined,
    );
  return (
    <>
      <button
        type="button"
        aria-label={words.door.show(doorWord)}
        title={words.door.showHint}
        onClick={() => setOpen(true)}
        className={`font-head font-bold text-ink underline decoration-line decoration-2 underline-offset-4 hover:decoration-ink ${className}`}
      >
        {doorWord}
      </button>
      <Sheet open={open} onClose={() => setOpen(false)} title={words.door.sign} wide>
        <div className="grid items-center gap-8 sm:grid-cols-[20rem_minmax(0,1fr)]">
          <Code text={link} />
          <div>
            <p className="text-xl">{words.door.orType}</p>
            <p className="text-2xl font-semibold wrap-anywhere">{window.location.host}/student</p>
            <p className="mt-4 text-xl">{words.door.word}</p>
            <p className="font-head text-6xl leading-tight font-bold">{doorWord}</p>
            <Button className="mt-6 print:hidden" onClick={copy}>
              {words.door.copy}
            </Button>
          </div>
        </div>
      </Sheet>
    </>
  );
}
