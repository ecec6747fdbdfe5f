import { t } from '$lib/words';

export const load = () => ({ title: t.profile.title });
