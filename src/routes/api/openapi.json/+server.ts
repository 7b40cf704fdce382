import { json } from '@sveltejs/kit';
import { openApi } from '$lib/server/compute/openapi';

export const GET = () => json(openApi());
