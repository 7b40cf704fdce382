import { Type } from 'typebox';

/* What the forms of every page hold. */

export const THEMES = ['jade-day', 'jade-night'] as const;
export const ThemeChoiceFormSchema = Type.Object({
	theme: Type.Enum([...THEMES]),
	back: Type.Optional(Type.String({ maxLength: 5000 }))
});
