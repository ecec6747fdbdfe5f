import { t } from '$lib/ui/strings';

export const load = () => ({ title: t.gather.title });
