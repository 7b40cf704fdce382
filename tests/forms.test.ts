import { expect, open, test } from './program.ts';
import { VIEWS } from './views.ts';

interface SentForm {
	readonly action: string;
	readonly fields: readonly (readonly [string, string])[];
}

/** What takes a thing away with all that hangs on it: the views behind it would be gone. */
const TAKES_AWAY = /\?\/(remove|drop\w*|clear|stand|move|planned)\b/;

test('every form of every view sends what its schema asks for', async ({ page, ownDemo }) => {
	/** Views as they come from the server, and a box as it is gone through and changed. */
	const shown: [view: string, html: string][] = [];
	await open(page, `${ownDemo.url}/boxes/43`);
	for (const name of ['Take stock', 'Change']) {
		await page.getByRole('button', { name, exact: true }).click();
		shown.push(['/boxes/43', await page.content()]);
	}
	for (const view of VIEWS) {
		shown.push([view, await (await page.request.get(`${ownDemo.url}${view}`)).text()]);
	}
	const seen = new Map<string, number>();
	for (const [view, html] of shown) {
		const forms = await page.evaluate((html): SentForm[] => {
			const document = new DOMParser().parseFromString(html, 'text/html');
			return [...document.querySelectorAll('form')]
				.filter(({ method }) => method === 'post')
				.flatMap((form) => {
					const submits = [
						...form.querySelectorAll<HTMLButtonElement>('button:not([type=button])')
					];
					return submits.map((submit) => ({
						action: submit.getAttribute('formaction') ?? form.getAttribute('action') ?? '',
						fields: [
							...[...new FormData(form)].map(([name, value]) => [name, String(value)] as const),
							...(submit.name ? [[submit.name, submit.value] as const] : [])
						]
					}));
				});
		}, html);
		for (const { action, fields } of forms) {
			const place = `${view} ${action} ${fields.map(([name]) => name).join()}`;
			const count = (seen.get(place) ?? 0) + 1;
			if (action.endsWith('/theme') || TAKES_AWAY.test(action) || count > 2) continue;
			seen.set(place, count);
			const answer = await page.request.post(`${ownDemo.url}${view.replace(/\?.*/, '')}${action}`, {
				headers: { 'x-sveltekit-action': 'true', accept: 'application/json' },
				multipart: fields.reduce((form, [name, value]) => {
					form.append(name, value);
					return form;
				}, new FormData())
			});
			const said = await answer.text();
			expect(answer.status(), `${view} ${action}: ${said}`).toBeLessThan(500);
			expect(said, `${view} ${action}`).not.toMatch(/is missing|not a known field/);
		}
	}
	// As many as there are kinds of forms; a view that shows none would make this test empty.
	expect(seen.size).toBeGreaterThan(25);
});
