import qrcode from 'qrcode-generator';
import { useMemo } from 'react';
import * as m from '#messages';

const quiet = 4;

/** A square code that a phone reads. It stays dark on light in both schemes, as cameras want it. */
export function Code({ text, className = 'w-full max-w-80' }: { text: string; className?: string }) {
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
      aria-label={m.door_code()}
      className={`border border-line ${className}`}
    >
      <rect width={size} height={size} fill="#fff" />
      <path d={path} fill="#000" shapeRendering="crispEdges" />
    </svg>
  );
}
