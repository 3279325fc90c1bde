-- A site comes with its front page. Making it was a step that could be undone, and left a site without one.
DELETE FROM "edit" WHERE "label" = 'New site' AND NOT "undone";
