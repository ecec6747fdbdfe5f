ALTER TABLE `test` ADD `not_measured` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
UPDATE `test` SET `not_measured` = '["soilMm","waterMm","tempC","dispersantMl"]'
WHERE `import_id` IS NOT NULL
   OR `id` IN (SELECT `test_id` FROM `event` WHERE `what` = 'jar.stood');
