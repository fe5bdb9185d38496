import QRCode from 'qrcode';
import type { Pdf } from '../pdf/open-pdf';

/** Draws an address as a code that a tablet reads, so wide, from its top left corner, mm. */
export function drawQrMark({ doc }: Pdf, address: string, xMm: number, yMm: number, sizeMm: number): void {
  const { modules } = QRCode.create(address, { errorCorrectionLevel: 'M' });
  const each = sizeMm / modules.size;
  for (let row = 0; row < modules.size; row += 1) {
    for (let column = 0; column < modules.size; column += 1) {
      if (modules.get(row, column) === 1) doc.rect(xMm + column * each, yMm + row * each, each, each);
    }
  }
  doc.fill('#000000');
}
