import { textureSystems, type SystemId } from '$lib/core';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

/** The soil that is read, by `?sand=&clay=&system=`; a loam without. */
export const load: PageServerLoad = ({ url }) => {
  const number = (key: string, usual: number) => {
    const text = url.searchParams.get(key);
    const value = text === null || text.trim() === '' ? NaN : Number(text);
    return value >= 0 && value <= 100 ? value : usual;
  };
  let [sand, clay] = [number('sand', 42), number('clay', 18)];
  if (sand + clay > 100) [sand, clay] = [42, 18];
  const asked = url.searchParams.get('system') ?? '';
  const system = (Object.hasOwn(textureSystems, asked) ? asked : 'usda') as SystemId;
  return { title: t.know.howTo.title, soil: { sand, silt: 100 - sand - clay, clay }, system };
};
