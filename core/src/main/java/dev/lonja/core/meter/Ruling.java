package dev.lonja.core.meter;

/**
 * What a person decided about a reading. A later ruling on the same reading takes its place.
 *
 * @param id the order of entry
 * @param accepted whether the reading is to count
 */
public record Ruling(long id, long readingId, boolean accepted, String reason, String actor) {

  /** A ruling before it is noted. */
  public record Wanted(long readingId, boolean accepted, String reason, String actor) {

    Ruling entered(long id) {
      return new Ruling(id, readingId, accepted, reason, actor);
    }
  }
}
