import { json } from '@sveltejs/kit';
import { ChecklistSchema } from '$lib/schemas/checklist';

export const GET = () =>
	json(ChecklistSchema, { headers: { 'content-type': 'application/schema+json' } });
