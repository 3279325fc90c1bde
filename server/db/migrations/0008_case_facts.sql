ALTER TABLE "page" ADD COLUMN "cover" jsonb DEFAULT '{"picture":null,"focus":null}'::jsonb NOT NULL;
--> statement-breakpoint
-- Rows of pages are also kept in the record of edits and in releases. All of them get what pages have now, so that undo and
-- "what waits to be published" go on working across this change.
CREATE FUNCTION page_with_new_facts(page jsonb) RETURNS jsonb LANGUAGE sql IMMUTABLE AS $$
  SELECT CASE WHEN page IS NULL OR jsonb_typeof(page) <> 'object' THEN page ELSE
    '{"cover":{"picture":null,"focus":null}}'::jsonb
    || page
    || jsonb_build_object(
      'facts',
      '{"from":null,"to":null,"when":"","role":"","madeWith":"","materials":"","field":"","course":"","tags":[],"licence":null}'::jsonb
      || (page -> 'facts')
      || jsonb_build_object(
        'withWhom',
        CASE jsonb_typeof(page -> 'facts' -> 'withWhom')
          WHEN 'array' THEN page -> 'facts' -> 'withWhom'
          ELSE CASE
            WHEN coalesce(page -> 'facts' ->> 'withWhom', '') = '' THEN '[]'::jsonb
            WHEN length(page -> 'facts' ->> 'withWhom') <= 80
              THEN jsonb_build_array(jsonb_build_object('name', page -> 'facts' ->> 'withWhom', 'did', ''))
            -- Longer than a name can be: cut in two, so that nothing of it is lost.
            ELSE jsonb_build_array(jsonb_build_object(
              'name', left(page -> 'facts' ->> 'withWhom', 80), 'did', substr(page -> 'facts' ->> 'withWhom', 81)))
          END
        END
      ),
      'parts',
      (
        SELECT coalesce(
          jsonb_agg(
            CASE part ->> 'kind'
              WHEN 'gallery' THEN '{"layout":"rows","captions":"below","autoplay":false}'::jsonb || part
              WHEN 'picture' THEN '{"link":""}'::jsonb || part
              ELSE part
            END
            ORDER BY at
          ),
          '[]'::jsonb
        )
        FROM jsonb_array_elements(page -> 'parts') WITH ORDINALITY AS each(part, at)
      )
    )
  END
$$;
--> statement-breakpoint
UPDATE "page" SET
  "facts" = page_with_new_facts(jsonb_build_object('facts', "facts", 'parts', "parts")) -> 'facts',
  "parts" = page_with_new_facts(jsonb_build_object('facts', "facts", 'parts', "parts")) -> 'parts';
--> statement-breakpoint
UPDATE "edit" SET "changes" = (
  SELECT coalesce(
    jsonb_agg(
      CASE change ->> 'table'
        WHEN 'page' THEN change || jsonb_build_object(
          'before', page_with_new_facts(change -> 'before'),
          'after', page_with_new_facts(change -> 'after')
        )
        ELSE change
      END
      ORDER BY at
    ),
    '[]'::jsonb
  )
  FROM jsonb_array_elements("changes") WITH ORDINALITY AS each(change, at)
);
--> statement-breakpoint
UPDATE "release" SET "source" = jsonb_set(
  "source",
  '{pages}',
  (
    SELECT coalesce(jsonb_agg(page_with_new_facts(page) ORDER BY at), '[]'::jsonb)
    FROM jsonb_array_elements("source" -> 'pages') WITH ORDINALITY AS each(page, at)
  )
);
--> statement-breakpoint
DROP FUNCTION page_with_new_facts(jsonb);
