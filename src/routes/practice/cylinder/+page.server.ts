import { config } from '$lib/server/config';
import { t } from '$lib/ui/strings';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = () => ({ title: t.cylinder.run.title, simulated: config().simulated });
