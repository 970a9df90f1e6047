import { create } from 'qrcode';

/** The modules of a QR code as one path; ISO/IEC 18004 by the package. */
export function qrPath(text: string): { path: string; size: number } {
  const { modules } = create(text, { errorCorrectionLevel: 'M' });
  let path = '';
  for (let y = 0; y < modules.size; y += 1) {
    for (let x = 0; x < modules.size; x += 1) if (modules.get(x, y)) path += `M${x} ${y}h1v1h-1z`;
  }
  return { path, size: modules.size };
}
