/**
 * Skarn Holm, an island light station being brought back to life by a small caretaker crew. All made up.
 * Times are before the demo starts, in seconds.
 */

export const MINUTE = 60;
export const HOUR = 3600;
export const DAY = 86_400;
