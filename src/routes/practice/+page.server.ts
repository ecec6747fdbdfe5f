import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = () => ({ title: t.practice.title });
