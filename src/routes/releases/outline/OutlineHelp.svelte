<script lang="ts">
	const LINES = [
		['release Name, Maker, 1994', 'which release it is'],
		['pack Hobby: 10 cards, 36 packs, 1.50 EUR', 'a kind of pack, and what it costs'],
		['pack Shop box: made of 2 Hobby + 1 Bonus', 'made of packs of other kinds'],
		[
			'base Base: 1-240, stated 240',
			'a section with its numbers, and what the card says there are'
		],
		['series Series 1: 1-160', 'a part of the section above, sold on its own'],
		['subset Dogs in Base: 97-108', 'numbers taken out of the section it lives in'],
		['insert Ink: K1-K12, hobby 1:96, /500', 'with odds and a print run'],
		['insert Pages: 2-1 to 2-18', 'numbers of a series'],
		['insert Log: 10 cards', 'without numbers'],
		['extra Stickers: 9 cards, grid 3x3', 'not on the checklist card; a picture of nine'],
		['extra Foils: T1-T3, no base finish', 'there is no plain one, only its parallels'],
		['extra Premium of Base: P1-P10, without 4', 'the same cards again, less one, plus ten'],
		['extra Abroad of Base: from 89, size 2.5 x 3.5 in', 'numbers that count on from 89'],
		['panels Pairs of Base: odd with odd, even with even', 'cards that hang together'],
		['parallel Gold: Base /50, Dogs /25', 'another finish, with a run a section'],
		['parallel Foil: all, not 97-108', 'all but some'],
		['27: home town, two printings', 'an error that was put right'],
		['image variation 40-42: dusk', 'or any other kind of variant'],
		['rookie 1-20, 30 in Base', 'marks of cards: rookie, key, checklist, short print'],
		['tag role = keeper: 1-20', 'a word in a family'],
		['note: the list omits these', 'about the section or release above'],
		['tell: dull, no line on the back', 'how the thing above is known']
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
