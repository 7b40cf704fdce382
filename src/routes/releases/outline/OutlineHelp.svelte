<script lang="ts">
	const LINES = [
		['release Name, Maker, 1994', 'which release it is'],
		['pack Hobby: 10 cards, 36 packs', 'a kind of pack'],
		[
			'base Base: 1-240, stated 240',
			'a section with its numbers, and what the card says there are'
		],
		['series Series 1: 1-160', 'a part of the section above, sold on its own'],
		['subset Dogs in Base: 97-108', 'numbers taken out of the section it lives in'],
		['insert Ink: K1-K12, hobby 1:96, /500', 'with odds and a print run'],
		['insert Log: 10 cards', 'without numbers'],
		['extra Stickers: 9 cards, grid 3x3', 'not on the checklist card; a picture of nine'],
		['extra Premium of Base: P1-P10, without 4', 'the same cards again, less one, plus ten'],
		['parallel Gold: Base /50, Dogs /25', 'another finish, with a run a section'],
		['parallel Foil: all, not 97-108', 'all but some'],
		['27: home town, two printings', 'an error that was put right'],
		['image variation 40-42: dusk', 'or any other kind of variant']
	] as const;
</script>

<details class="mt-6">
	<summary class="cursor-pointer">What a line can say</summary>
	<dl class="mt-3 grid gap-x-5 gap-y-1.5 sm:grid-cols-[auto_1fr]">
		{#each LINES as [line, meaning] (line)}
			<dt><code class="text-sm">{line}</code></dt>
			<dd class="quiet">{meaning}</dd>
		{/each}
	</dl>
</details>
