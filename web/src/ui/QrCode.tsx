import QRCode from 'qrcode';
import { useEffect, useState } from 'react';

/** A text as a code to be scanned. */
export function QrCode({ text, alt }: { readonly text: string; readonly alt: string }) {
  const [svg, setSvg] = useState('');
  useEffect(() => {
    let isOld = false;
    void QRCode.toString(text, { type: 'svg', margin: 1, errorCorrectionLevel: 'M' }).then((drawn) => {
      if (!isOld) setSvg(drawn);
    });
    return () => {
      isOld = true;
    };
  }, [text]);
  return (
    <img
      className="size-24 shrink-0"
      alt={alt}
      src={svg === '' ? undefined : `data:image/svg+xml;utf8,${encodeURIComponent(svg)}`}
    />
  );
}
