import { fail, redirect } from '@sveltejs/kit';
import { PRESETS, PRESET_KEYS } from '$lib/core/goal/preset';
import { scopeGoal } from '$lib/core/goal/scope-goal';
import { theCollection } from '$lib/server/collection';
import { makeGoal } from '$lib/server/goals/make-goal';
import { listReleases } from '$lib/server/releases/list-releases';
import { loadRelease } from '$lib/server/releases/load-release';
import { usualRelease } from '$lib/server/releases/usual-release';

export const load = async ({ url }) => {
	const { db } = await theCollection();
	const releases = await listReleases(db);
	const key = url.searchParams.get('release') ?? (await usualRelease(db));
	const stored = key === null ? null : await loadRelease(db, key);
	if (!stored) return { releases, release: null };
	const { release } = stored;
	return {
		releases,
		release: {
			key: release.key,
			name: release.name,
			presets: PRESETS.map((preset) => ({
				...preset,
				slots:
					preset.finishes === 'chosen' ? null : scopeGoal(release, { preset: preset.key }).length
			})),
			parallels: release.parallels.map(({ key, name }) => ({
				key,
				name,
				slots: scopeGoal(release, { preset: 'parallel-run', parallel: key }).length
			}))
		}
	};
};

export const actions = {
	default: async ({ request }) => {
		const form = await request.formData();
		const text = (name: string) => String(form.get(name) ?? '');
		const preset = PRESET_KEYS.find((key) => key === text('preset'));
		if (!preset) return fail(400, { problems: [{ message: 'choose what complete means' }] });
		const outcome = await makeGoal(await theCollection(), {
			release: text('release'),
			name: text('name').slice(0, 200),
			rules: {
				preset,
				...(preset === 'parallel-run' ? { parallel: text('parallel') } : {})
			}
		});
		if (!outcome.ok) return fail(400, { problems: outcome.problems });
		redirect(303, `/goals/${outcome.value.id}`);
	}
};
