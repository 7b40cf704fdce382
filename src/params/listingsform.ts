const FORMS = ['csv', 'zip'] as const;

export const match = (form: string): form is (typeof FORMS)[number] =>
	FORMS.some((known) => known === form);
