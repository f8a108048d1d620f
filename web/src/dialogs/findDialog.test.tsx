import { describe, expect, it } from '@jest/globals';
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { useLocation } from 'react-router';
import { KEYS } from '../api/keys.ts';
import { drawPage, SHOP } from '../test/page.tsx';
import { FindDialog } from './FindDialog.tsx';

const door = {
  partId: 'door',
  name: 'Smokebox door',
  machineName: 'Works engine',
  assemblyName: 'Smokebox',
  lastCoat: null,
  next: null,
  headline: '',
};
const machines = {
  machines: [{ machineId: 'm', name: 'Works engine', kind: 'locomotive', assemblies: [{ parts: [door] }] }],
};
const Where = () => <p>at {useLocation().pathname}</p>;

describe('Enter before the parts have come', () => {
  it('says it is still looking, and goes to the part as soon as it is here, not to a rule with its word', async () => {
    const { client } = drawPage(
      <>
        <FindDialog onClose={() => undefined} />
        <Where />
      </>,
      [[KEYS.shop, SHOP]],
    );
    const never = new Promise<never>(() => undefined);
    globalThis.fetch = () => never;
    await client.cancelQueries();
    const lists = [KEYS.machines, KEYS.shelf, KEYS.sheets];
    lists.forEach((queryKey) => void client.refetchQueries({ queryKey }));
    const field = screen.getByLabelText('What to find');
    fireEvent.change(field, { target: { value: 'smokebox door' } });
    fireEvent.submit(field.closest('form')!);
    await screen.findByText('Looking…');
    expect(screen.getByText('at /')).toBeTruthy();
    act(() => {
      client.setQueryData(KEYS.machines, machines);
      client.setQueryData(KEYS.shelf, { tins: [] });
      client.setQueryData(KEYS.sheets, { sheets: [] });
    });
    await waitFor(() => screen.getByText('at /parts/door'));
  });
});
