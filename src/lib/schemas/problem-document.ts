import { Type } from 'typebox';

/** A problem document (RFC 9457) as this program sends it; `errors` has every problem with its place. */
export const ProblemDocumentSchema = Type.Object({
	type: Type.String(),
	title: Type.String(),
	status: Type.Integer(),
	detail: Type.String(),
	errors: Type.Optional(
		Type.Array(
			Type.Object({
				pointer: Type.String({ description: 'JSON Pointer (RFC 6901)' }),
				detail: Type.String()
			})
		)
	)
});
