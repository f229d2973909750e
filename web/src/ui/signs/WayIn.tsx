/** The sign for going into a room. */
export function WayIn({ className = '' }: { className?: string }) {
  return (
    <svg viewBox="0 0 16 16" className={`size-4 ${className}`} aria-hidden="true">
      <path d="M7 2h6v12H7" fill="none" stroke="currentColor" strokeWidth="1.600" />
      <path d="M1.500 8h7M6 5.200 8.800 8 6 10.800" fill="none" stroke="currentColor" strokeWidth="1.600" />
    </svg>
  );
}
