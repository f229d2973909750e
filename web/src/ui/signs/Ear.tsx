/** The sign for listening to a room. */
export function Ear({ className = '' }: { className?: string }) {
  return (
    <svg viewBox="0 0 16 16" className={`size-4 ${className}`} aria-hidden="true">
      <path
        d="M4.500 6.500a3.500 3.500 0 1 1 6.600 1.600c-.700 1.300-1.900 1.700-2.100 3.100-.200 1.600-1 2.800-2.300 2.800-1 0-1.700-.700-1.900-1.600M6.500 6.700a1.600 1.600 0 0 1 3.100-.500c.100.900-.900 1.200-.900 2.100"
        fill="none"
        stroke="currentColor"
        strokeWidth="1.400"
        strokeLinecap="round"
      />
    </svg>
  );
}
