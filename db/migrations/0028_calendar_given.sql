CREATE TABLE `calendar_event` (
	`uid` text NOT NULL,
	`date` text NOT NULL,
	`doc` text NOT NULL,
	PRIMARY KEY(`date`, `uid`)
);
