/** What kept a form from being stored, said once above its buttons. */
export function FormTrouble({ words }: { readonly words: string | null }) {
  return words === null ? null : (
    <p role="alert" className="border-l-4 border-bad bg-ground p-3">
      {words}
    </p>
  );
}
