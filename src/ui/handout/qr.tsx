import { qrPath } from '@/pdf/qr-path';

/** A code to scan, black on white with its quiet border. */
export function QrCode({
  text,
  label,
  className = '',
}: {
  text: string;
  label: string;
  className?: string;
}) {
  const { path, size } = qrPath(text);
  return (
    <svg
      role="img"
      aria-label={label}
      viewBox={`-2 -2 ${size + 4} ${size + 4}`}
      className={className}
    >
      <path d={`M-2-2h${size + 4}v${size + 4}h-${size + 4}z`} fill="#fff" />
      <path d={path} fill="#000" />
    </svg>
  );
}
