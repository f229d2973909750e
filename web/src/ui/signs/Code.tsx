// A square code that leads to an address.
import qrcode from 'qrcode-generator';
import { useMemo, useState } from 'react';
import { isTakingOver } from '../../api/clock';
import * as m from '#messages';

const quiet = 4;

interface Drawing {
  /** Of the whole square with its quiet border, in modules. */
  size: number;
  path: string;
}

function draw(text: string): Drawing {
  const code = qrcode(0, 'M');
  code.addData(text);
  code.make();
  const modules = code.getModuleCount();
  let path = '';
  for (let row = 0; row < modules; row++) {
    for (let column = 0; column < modules; column++) {
      if (code.isDark(row, column)) path += `M${column + quiet} ${row + quiet}h1v1h-1z`;
    }
  }
  return { size: modules + 2 * quiet, path };
}

/**
 * A square code that a phone reads. It stays dark on light in both schemes, as cameras want it. Where the server has
 * drawn it, it is kept as it stands: making it again costs a slow device a tenth of a second.
 */
export function Code({ text, className = 'w-full max-w-80' }: { text: string; className?: string }) {
  const [standing] = useState(() => (isTakingOver() ? text : null));
  const drawing = useMemo(() => (standing === text ? null : draw(text)), [standing, text]);
  return (
    <svg
      viewBox={drawing === null ? undefined : `0 0 ${drawing.size} ${drawing.size}`}
      role="img"
      aria-label={m.door_code()}
      className={`border border-line ${className}`}
      suppressHydrationWarning
    >
      <rect width="100%" height="100%" fill="#fff" />
      <path d={drawing?.path} fill="#000" shapeRendering="crispEdges" suppressHydrationWarning />
    </svg>
  );
}
