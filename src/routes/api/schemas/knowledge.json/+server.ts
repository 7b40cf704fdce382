import { json } from '@sveltejs/kit';
import { KnowledgeSchema } from '$lib/schemas/knowledge';

export const GET = () =>
	json(KnowledgeSchema, { headers: { 'content-type': 'application/schema+json' } });
