import { json } from '@sveltejs/kit';
import { CORE_VERSION } from '$lib/core';
import { openApi } from '$lib/formats/openapi';

export const GET = () => json(openApi(CORE_VERSION));
