package dev.lonja.core.meter;

/**
 * What a person decided about a reading. A later ruling on the same reading takes its place.
 *
 * @param id the order of entry
 * @param accepted whether the reading is to count
 */
public record Ruling(long id, long readingId, boolean accepted, String reason, String actor) {}
