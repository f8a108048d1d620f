import { useDialogs } from '../state/dialogs.ts';

interface Props {
  readonly of: 'machines' | 'parts';
  readonly id: string;
  readonly name: string;
}

/** What may be taken away of a machine or a part: on paper, for a spreadsheet, as data. */
export function DossierLinks({ of, id, name }: Props) {
  const show = useDialogs((s) => s.show);
  const at = (form: string): string => `/api/${of}/${encodeURIComponent(id)}/dossier.${form}`;
  return (
    <span className="flex flex-wrap gap-x-3 text-[14px]">
      <a
        className="link-alone"
        href={at('pdf')}
        target="_blank"
        rel="noreferrer"
        // A machine's may be long: here it says how far it is. Opened in another way, the browser waits for it.
        onClick={(e) => {
          if (of === 'parts' || e.metaKey || e.ctrlKey || e.shiftKey) return;
          e.preventDefault();
          show({ kind: 'dossier', machineId: id, name });
        }}
      >
        Dossier, PDF
      </a>
      {of === 'parts' ? (
        <a
          className="link-alone"
          href={`/api/parts/${encodeURIComponent(id)}/card.pdf`}
          target="_blank"
          rel="noreferrer"
        >
          Route card
        </a>
      ) : null}
      <a
        className="link-alone"
        href={`/api/${of}/${encodeURIComponent(id)}/${of === 'parts' ? 'tag' : 'tags'}.pdf`}
        target="_blank"
        rel="noreferrer"
      >
        {of === 'parts' ? 'Tag' : 'Tags'}
      </a>
      <a className="link-alone" href={at('csv')} download>
        CSV
      </a>
      <a className="link-alone" href={at('json')} download>
        JSON
      </a>
    </span>
  );
}
