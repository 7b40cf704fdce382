import { ProblemDocumentSchema } from '../../schemas/problem-document.ts';
import { COMPUTATIONS } from './registry.ts';

/** The compute API in OpenAPI 3.1, generated from the registry. */
export function openApi() {
	const problem = (description: string) => ({
		description,
		content: { 'application/problem+json': { schema: { $ref: '#/components/schemas/Problem' } } }
	});
	const paths = COMPUTATIONS.map(({ name, summary, input, output }) => [
		`/api/compute/${name}`,
		{
			post: {
				operationId: name,
				summary,
				requestBody: { required: true, content: { 'application/json': { schema: input } } },
				responses: {
					200: { description: 'The result', content: { 'application/json': { schema: output } } },
					400: problem('The body is no JSON or does not fit the schema'),
					413: problem('The body is too large')
				}
			}
		}
	]);
	return {
		openapi: '3.1.0',
		info: {
			title: 'Jade Binder compute API',
			version: '1',
			description:
				'The computations of Jade Binder, stateless: the same functions that the views use.'
		},
		paths: Object.fromEntries(paths) as Record<string, unknown>,
		components: { schemas: { Problem: ProblemDocumentSchema } }
	};
}
