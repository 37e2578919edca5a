-- Foods the cook typed or imported before states and kinds were told apart: each is a kind of its own.
update food_documents d
set document = (
  jsonb_build_object('kind', d.food_id, 'state', null, 'figuresOf', null) || (d.document::jsonb - 'standInFor')
)::json
from foods f
where f.id = d.food_id and f.shelf in ('own', 'import') and not (d.document::jsonb ? 'kind');
