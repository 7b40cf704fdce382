import type { Static, TSchema } from 'typebox';
import type { Outcome } from '../../core/problem.ts';

/** A computation of the core under its stable name. `run` gets a body that fits `input`. */
export interface Computation {
	readonly name: string;
	readonly summary: string;
	readonly input: TSchema;
	readonly output: TSchema;
	readonly run: (body: never) => Outcome<unknown> | Promise<Outcome<unknown>>;
}

type DeepReadonly<Value> = Value extends readonly (infer Item)[]
	? readonly DeepReadonly<Item>[]
	: Value extends object
		? { readonly [Name in keyof Value]: DeepReadonly<Value[Name]> }
		: Value;

/** Holds a computation against its schemas: what it takes and what it answers. */
export function defineComputation<Input extends TSchema, Output extends TSchema>(
	computation: Omit<Computation, 'run'> & {
		readonly input: Input;
		readonly output: Output;
		readonly run: (
			body: Static<Input>
		) => Outcome<DeepReadonly<Static<Output>>> | Promise<Outcome<DeepReadonly<Static<Output>>>>;
	}
): Computation {
	return computation;
}
