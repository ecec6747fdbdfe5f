import { packPoints } from '$lib/contract/points';
import { knowPoints } from '$lib/server/repositories/points';
import { store } from '$lib/server/store';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = async ({ depends }) => {
  depends('tivrel:data');
  const { db } = await store();
  return { packed: packPoints(await knowPoints(db)) };
};
