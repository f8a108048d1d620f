/** The textures of state, defined once for the page: a state is known by texture and word, never by colour alone. */
export function Textures() {
  return (
    <svg width="0" height="0" className="absolute" aria-hidden="true">
      <defs>
        <pattern
          id="t-early"
          width="7"
          height="7"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <rect width="7" height="7" fill="var(--s-early)" fillOpacity="0.35" />
          <rect width="2.4" height="7" fill="var(--s-early)" />
        </pattern>
        <pattern id="t-closing" width="6" height="6" patternUnits="userSpaceOnUse">
          <rect width="6" height="6" fill="var(--s-closing)" />
          <rect x="4.6" width="1.4" height="6" fill="var(--ink)" fillOpacity="0.35" />
        </pattern>
        <pattern id="t-lift" width="8" height="8" patternUnits="userSpaceOnUse">
          <rect width="8" height="8" fill="var(--s-lift)" fillOpacity="0.3" />
          <path d="M0 6l4-4 4 4" fill="none" stroke="var(--s-lift)" strokeWidth="1.8" />
        </pattern>
        <pattern id="t-shut" width="7" height="7" patternUnits="userSpaceOnUse">
          <rect width="7" height="7" fill="var(--s-shut)" fillOpacity="0.14" />
          <path d="M0 0l7 7M7 0L0 7" stroke="var(--s-shut)" strokeWidth="0.9" />
        </pattern>
        <pattern id="t-keyed" width="6" height="5" patternUnits="userSpaceOnUse">
          <rect width="6" height="5" fill="var(--s-keyed)" />
          <rect width="6" height="1.2" y="1.8" fill="var(--panel)" fillOpacity="0.55" />
        </pattern>
        <pattern id="t-bare" width="6" height="6" patternUnits="userSpaceOnUse">
          <rect width="6" height="6" fill="var(--s-bare)" />
          <circle cx="1.5" cy="1.5" r="0.9" fill="var(--panel)" fillOpacity="0.6" />
          <circle cx="4.5" cy="4.5" r="0.9" fill="var(--panel)" fillOpacity="0.6" />
        </pattern>
        <pattern id="t-cure" width="8" height="8" patternUnits="userSpaceOnUse">
          <rect width="8" height="8" fill="var(--s-cure)" fillOpacity="0.4" />
          <path d="M0 4h8" stroke="var(--s-cure)" strokeWidth="1" />
        </pattern>
        <pattern id="t-unknown" width="9" height="9" patternUnits="userSpaceOnUse">
          <rect width="9" height="9" fill="var(--panel)" />
          <path d="M0 9L9 0" stroke="var(--s-unknown)" strokeWidth="1" strokeDasharray="2 2" />
        </pattern>
        <pattern id="t-unfit" width="5" height="5" patternUnits="userSpaceOnUse">
          <circle cx="1.2" cy="1.2" r="0.8" fill="var(--s-unfit)" />
          <circle cx="3.7" cy="3.7" r="0.8" fill="var(--s-unfit)" />
        </pattern>
      </defs>
    </svg>
  );
}
