UPDATE preferences SET value = json_insert(value,
	'$[#]', json('{"name":"graded","where":{"isGraded":true}}'),
	'$[#]', json('{"name":"personal","where":{"attributes":["personal"]}}'),
	'$[#]', json('{"name":"to sell","where":{"statuses":["to sell"]}}'))
	WHERE key = 'storage-classes' AND json_type(value) = 'array';
