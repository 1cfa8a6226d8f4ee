CREATE TRIGGER `recipe_state_is_never_changed` BEFORE UPDATE ON `recipe_state`
BEGIN SELECT RAISE(ABORT, 'the life of a version is only added to'); END;
--> statement-breakpoint
CREATE TRIGGER `recipe_state_is_never_removed` BEFORE DELETE ON `recipe_state`
BEGIN SELECT RAISE(ABORT, 'the life of a version is only added to'); END;
--> statement-breakpoint
CREATE TRIGGER `ingredient_price_is_never_changed` BEFORE UPDATE ON `ingredient_price`
BEGIN SELECT RAISE(ABORT, 'prices are only added'); END;
--> statement-breakpoint
CREATE TRIGGER `ingredient_price_is_never_removed` BEFORE DELETE ON `ingredient_price`
BEGIN SELECT RAISE(ABORT, 'prices are only added'); END;
--> statement-breakpoint
INSERT INTO `recipe_state` (`recipe_version_id`, `state`, `at`, `who`, `reason`)
SELECT v.`id`,
	CASE WHEN v.`number` = (SELECT max(o.`number`) FROM `recipe_version` o WHERE o.`recipe_id` = v.`recipe_id`)
		THEN 'standard' ELSE 'retired' END,
	v.`created_at`, v.`created_by`, ''
FROM `recipe_version` v ORDER BY v.`recipe_id`, v.`number`;
--> statement-breakpoint
CREATE VIRTUAL TABLE `recipe_search` USING fts5(
	`recipe_id` UNINDEXED, `name`, `ingredients`, `cut`, `allergens`, `tags`, `summary`,
	tokenize = "unicode61 remove_diacritics 2", prefix = '2 3'
);
