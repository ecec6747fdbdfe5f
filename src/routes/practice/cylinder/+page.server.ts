import { config } from '$lib/server/config';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = () => ({ title: t.cylinder.run.title, simulated: config().simulated });
