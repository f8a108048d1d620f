import type { RibbonSpan } from '@calvetta/core';

/** Fill of each state on a ribbon; words are in the contract's word lists. */
export const SPAN_FILL: Readonly<Record<RibbonSpan['state'], string>> = {
  early: 'url(#t-early)',
  open: 'var(--s-open)',
  closing: 'url(#t-closing)',
  lift: 'url(#t-lift)',
  shut: 'url(#t-shut)',
  keyed: 'url(#t-keyed)',
  forbidden: 'url(#t-shut)',
  unknown: 'url(#t-unknown)',
  bare: 'url(#t-bare)',
  out: 'url(#t-shut)',
  curing: 'url(#t-cure)',
  cured: 'var(--s-cure)',
};
export const SPAN_STROKE: Readonly<Record<RibbonSpan['state'], string>> = {
  early: 'var(--s-early)',
  open: 'var(--s-open)',
  closing: 'var(--s-closing)',
  lift: 'var(--s-lift)',
  shut: 'var(--s-shut)',
  keyed: 'var(--s-keyed)',
  forbidden: 'var(--s-shut)',
  unknown: 'var(--s-unknown)',
  bare: 'var(--s-bare)',
  out: 'var(--s-shut)',
  curing: 'var(--s-cure)',
  cured: 'var(--s-cure)',
};
