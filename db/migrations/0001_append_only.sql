CREATE TRIGGER `event_is_never_changed` BEFORE UPDATE ON `event`
BEGIN SELECT RAISE(ABORT, 'events are only added'); END;
--> statement-breakpoint
CREATE TRIGGER `event_is_never_removed` BEFORE DELETE ON `event`
BEGIN SELECT RAISE(ABORT, 'events are only added'); END;
--> statement-breakpoint
CREATE TRIGGER `recipe_version_is_never_changed` BEFORE UPDATE ON `recipe_version`
BEGIN SELECT RAISE(ABORT, 'a numbered version never changes'); END;
--> statement-breakpoint
CREATE TRIGGER `recipe_version_is_never_removed` BEFORE DELETE ON `recipe_version`
BEGIN SELECT RAISE(ABORT, 'a numbered version is never removed'); END;
