import { openDatabase } from '../db/db.ts';
import { findWorkshop, listPeople } from '../shop/shop.sql.ts';
import { hasOwner } from './accounts.sql.ts';
import { invite } from './invites.ts';

/**
 * `owner NAME`, for bin/owner: an invitation as the shop's owner for a person of it, from the console of its own computer. It makes
 * the first one, and a new phrase for one who has lost his. What comes of it is in the chain.
 */
const name = process.argv.slice(2).join(' ').normalize('NFC').trim();

const db = openDatabase(process.env['OWNER_URL'] ?? '');
try {
  const workshop = await findWorkshop(db).catch(() => null);
  if (!workshop) throw new Error('there is no shop yet: begin it first, with the people who come');
  const { workshopId } = workshop;
  const people = (await listPeople(db, workshopId)).filter((p) => !p.isAway);
  const named = people.filter((p) => p.name.toLowerCase() === name.toLowerCase());
  if (named.length !== 1)
    throw new Error(
      [
        name === ''
          ? 'bin/owner NAME: say who.'
          : `${named.length === 0 ? 'Nobody' : 'More than one'} here is called “${name}”.`,
        people.length === 0
          ? 'The shop has no people yet: add them under Settings.'
          : `People of this shop: ${people.map((p) => p.name).join(', ')}.`,
      ].join(' '),
    );
  const isFirst = !(await hasOwner(db, workshopId));
  const { token } = await invite(db, workshopId, Date.now(), {
    personId: named[0]!.personId,
    tabletName: null,
    role: 'owner',
    isInspector: false,
    madeBy: null,
  });
  const address = process.env['ADDRESS'] ?? 'http://127.0.0.1:PORT';
  console.log(
    [
      `Open this within ten minutes, once, and choose a phrase for ${named[0]!.name}:`,
      `  ${address}/in#${token}`,
      ...(isFirst ? ['From then on everyone signs in here, on this computer too.'] : []),
    ].join('\n'),
  );
} catch (error) {
  console.error(error instanceof Error ? error.message : String(error));
  process.exitCode = 1;
} finally {
  await db.close();
}
