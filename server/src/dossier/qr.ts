import QRCode from 'qrcode';

/** A code to be scanned (ISO/IEC 18004), drawn as squares with its quiet margin inside the given width. */
export function drawQr(doc: PDFKit.PDFDocument, text: string, x: number, y: number, wide: number): void {
  const { modules } = QRCode.create(text, { errorCorrectionLevel: 'M' });
  const margin = 2;
  const step = wide / (modules.size + 2 * margin);
  doc.rect(x, y, wide, wide).fill('#ffffff');
  for (let row = 0; row < modules.size; row++)
    for (let col = 0; col < modules.size; col++)
      if (modules.get(row, col))
        // A hair wider than it is, so that no line shows between two.
        doc.rect(x + (col + margin) * step, y + (row + margin) * step, step + 0.05, step + 0.05);
  doc.fill('#000000');
}
