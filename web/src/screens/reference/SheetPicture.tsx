import { useState } from 'react';
import { pictureUrl } from '../../api/client.ts';

/** The data sheet that a sheet was typed from, small; touched, whole. A sheet that came from another shop may have left it there. */
export function SheetPicture({ pictureId, name }: { readonly pictureId: string; readonly name: string }) {
  const [isGone, setGone] = useState(false);
  if (isGone) return <span>its picture is not here</span>;
  return (
    <a className="underline" href={pictureUrl(pictureId)} target="_blank" rel="noreferrer">
      <img
        className="inline-block h-8 border border-line align-middle"
        src={`${pictureUrl(pictureId)}/thumb`}
        alt={`The data sheet of ${name}, as it was pictured`}
        onError={() => setGone(true)}
      />
    </a>
  );
}
