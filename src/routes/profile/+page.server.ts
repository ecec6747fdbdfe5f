import { config } from '$lib/server/config';
import { t } from '$lib/words';

export const load = () => ({ title: t.profile.title, shared: config().door !== undefined });
