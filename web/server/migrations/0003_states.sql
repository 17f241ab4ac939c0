-- cards of tests say `state` where they said `loading`
UPDATE "tests" SET "body" = jsonb_set("body" #- '{card,loading}', '{card,state}', "body" #> '{card,loading}')
WHERE "body" #> '{card,loading}' IS NOT NULL;
--> statement-breakpoint
UPDATE "test_revisions" SET "body" = jsonb_set("body" #- '{card,loading}', '{card,state}', "body" #> '{card,loading}')
WHERE "body" #> '{card,loading}' IS NOT NULL;
