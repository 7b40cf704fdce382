INSERT INTO preferences (key, value)
	SELECT 'supplies', (SELECT json_group_object('holder:' || s.key, json_object('count', s.value))
		FROM json_each(preferences.value, '$.onHand') s)
	FROM preferences WHERE key = 'holders' AND json_type(value, '$.onHand') = 'object'
		AND value ->> '$.onHand' <> '{}';--> statement-breakpoint
UPDATE preferences SET value = json_remove(value, '$.onHand') WHERE key = 'holders';
