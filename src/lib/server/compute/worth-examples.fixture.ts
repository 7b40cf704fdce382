const sale = (version: string, grade: number, minor: number, on = '1996-09-01') => ({
	...{ version, grade, lowMinor: minor, highMinor: minor, currency: 'EUR', kind: 'sale', on }
});
const ground = {
	currency: 'EUR',
	on: '1996-10-06',
	points: [sale('a', 5, 300), sale('a', 6, 200), sale('b', 6, 2400, '1990-01-01')]
};
const quad = (left: number, top: number, right: number, bottom: number) => ({
	topLeft: { x: left, y: top },
	topRight: { x: right, y: top },
	bottomRight: { x: right, y: bottom },
	bottomLeft: { x: left, y: bottom }
});

/** Bodies of worth, selling and the bench, and what their answers must hold. */
export const WORTH_EXAMPLES: Readonly<Record<string, { body: unknown; holds: unknown }>> = {
	'estimate-price': {
		body: {
			...ground,
			copies: [{ key: 'k', version: 'a', grade: 5 }],
			ratios: [{ version: 'b', against: 'a' }]
		},
		holds: {
			estimates: [{ key: 'k', middleMinor: 300, flags: ['lone sale'] }],
			curves: [{ inversions: [{ better: '6', worse: '5' }] }, { inversions: [] }],
			ratios: [{ ratio: 12, qualities: ['6'] }]
		}
	},
	'grade-ladder': {
		body: {
			...ground,
			cards: [{ version: 'a', isKey: true }, { version: 'b' }],
			columns: ['6', '5', '7'],
			populations: [
				{ version: 'a', house: 'Gull', on: '1996-01-01', counts: [{ grade: 6, count: 3 }] }
			]
		},
		holds: {
			rows: [
				{
					version: 'a',
					standing: 'top',
					cells: [{ priceMinor: 200 }, { priceMinor: 300 }, { empty: 'none graded' }]
				},
				{
					version: 'b',
					cells: [
						{ empty: 'sold long ago', lastSale: { lowMinor: 2400 } },
						{ empty: 'not known' },
						{}
					]
				}
			]
		}
	},
	population: {
		body: {
			reports: [
				{
					...{ version: 'a', house: 'Gull', on: '1996-01-01', total: 9 },
					counts: [
						{ grade: 8, count: 3 },
						{ grade: 7, count: 5 }
					]
				}
			]
		},
		holds: {
			versions: [{ graded: 8, atLeast: 3, shareAtLeast: 3 / 8, finest: { grade: 8, count: 3 } }],
			wrongSums: [{ statedTotal: 9, sum: 8 }]
		}
	},
	'scarcity-ratio': {
		body: { against: 40, counts: [{ key: 'x', count: 10 }] },
		holds: { ratios: [{ key: 'x', times: 4, verdict: 'scarcer' }] }
	},
	'grade-or-not': {
		body: {
			...{ rawMinor: 2000, feeMinor: 1500, postageMinor: 500 },
			chances: [
				{ grade: 9, chance: 0.25 },
				{ grade: 8, chance: 0.5 }
			],
			prices: [
				{ grade: 9, middleMinor: 10_000 },
				{ grade: 8, middleMinor: 4000 }
			]
		},
		holds: { verdict: 'grade', gainMinor: 1000, lossChance: 0.25 }
	},
	'set-worth': {
		body: {
			...ground,
			copies: [
				{ key: '1', version: 'a', grade: 5, isKey: true },
				{ key: '2', version: 'a', quantity: 2, saidMinor: 50 },
				{ key: '3', version: 'c' }
			],
			days: ['1996-08-01'],
			panels: [{ panel: 'a', singles: ['b', 'b'], grade: 6 }]
		},
		holds: {
			...{ totalMinor: 400, unpriced: 1, keyShare: 0.75 },
			overTime: [{ totalMinor: 100 }],
			panels: [{ dearer: 'singles', byMinor: 4600 }]
		}
	},
	'grading-eye': {
		body: {
			checks: [
				{ estimate: 8, grade: 7.5 },
				{ estimate: 9, grade: 9 },
				{ estimate: 7, grade: null }
			]
		},
		holds: {
			...{ checked: 3, graded: 2, exact: 1, withinHalf: 2 },
			...{ differences: [-0.5, 0], meanDifference: -0.25 }
		}
	},
	'lots-and-singles': {
		// ● Inserts out, base kept: the only base card stays, its double in a lot, the insert by itself.
		body: {
			copies: [
				{ key: '1', version: 'a', isBase: true, quantity: 3, eachMinor: 20 },
				{ key: '2', version: 'b', isBase: true, eachMinor: 900 },
				{ key: '3', version: 'c', isBase: false, eachMinor: 410 }
			],
			bands: [
				{ fromMinor: 0, channel: 'fair', as: 'lot' },
				{ fromMinor: 100, channel: 'market', as: 'single' }
			],
			sellsDoubles: true,
			lotShare: 0.5
		},
		holds: {
			lots: [
				{ as: 'single', channel: 'market', askMinor: 425, cards: [{ key: '3', quantity: 1 }] },
				{ as: 'lot', channel: 'fair', worthMinor: 40, askMinor: 20, count: 2 }
			],
			unpriced: []
		}
	},
	'build-to-sell': {
		body: {
			parts: [
				{ key: 'commons', offers: [{ key: 'lot', feedsSets: 4, priceMinor: 1000 }] },
				{
					key: 'keeper',
					isKey: true,
					valueMinor: 1500,
					offers: [{ key: 'single', feedsSets: 1, priceMinor: 600 }]
				}
			],
			sales: [{ sets: 3, priceMinor: 3000 }],
			fixedMinor: 2000
		},
		holds: {
			verdict: 'build',
			breakEvenSets: 2,
			bestSets: 3,
			keyShare: 0.5,
			outcomes: [{ profitMinor: -600 }, { profitMinor: 1800 }, { profitMinor: 4200 }]
		}
	},
	'fit-parcels': {
		body: {
			boxes: [{ key: 'b', lengthMm: 259, widthMm: 80, heightMm: 98, grams: 1080, quantity: 4 }],
			parcels: [
				{
					key: 'medium',
					lengthMm: 285,
					widthMm: 245,
					heightMm: 145,
					mostGrams: 22_600,
					rates: [{ upToGrams: 22_600, priceMinor: 1500 }]
				}
			]
		},
		holds: {
			totalMinor: 3000,
			isProven: true,
			buyers: [{ buyer: null, left: [], parcels: [{}, {}] }]
		}
	},
	centring: {
		body: {
			guides: { outer: quad(0, 0, 200, 300), inner: quad(22, 15, 182, 285) },
			widthMm: 50,
			stated: { widthMm: 50, heightMm: 80 }
		},
		holds: {
			leftRight: { ratio: '55:45' },
			topBottom: { ratio: '50:50' },
			size: { heightMm: 75 },
			cut: { verdict: 'short' }
		}
	},
	'condition-worksheet': {
		body: {
			sheets: [{ key: 'k', front: { leftRight: 55, topBottom: 50 }, corners: ['sharp', 'soft'] }]
		},
		holds: {
			sheets: [
				{ word: 'excellent', because: [{ aspect: 'corners' }], notLookedAt: ['edges', 'surface'] }
			],
			rates: [
				{ aspect: 'centring', weak: 0 },
				{ aspect: 'corners', weak: 1, looked: 1 }
			]
		}
	}
};
