const FORMS = ['csv', 'xlsx', 'pdf'] as const;

export const match = (form: string): form is (typeof FORMS)[number] =>
	FORMS.some((known) => known === form);
