import { t } from '$lib/words';

export const load = () => ({ title: t.stations.read });
