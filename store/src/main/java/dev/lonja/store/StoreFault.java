package dev.lonja.store;

import dev.lonja.store.verification.Verification;
import java.nio.file.Path;

/** What is wrong with a file that should be a store. */
public sealed interface StoreFault {

  /** There is no such file. */
  record Absent(Path file) implements StoreFault {}

  /** It is no database at all, or one that was cut off at its beginning. */
  record NoDatabase(Path file) implements StoreFault {}

  /** It is a database of something else. */
  record NotLonjas(Path file) implements StoreFault {}

  /** It was made by another version of Lonja, whose schema this one does not know. */
  record OtherSchema(Path file, String version) implements StoreFault {}

  /** It was made by an earlier version of Lonja, and nobody has brought it up since. */
  record OlderSchema(Path file) implements StoreFault {}

  /** There is nobody and nothing in it. */
  record Empty(Path file) implements StoreFault {}

  /** The database says that it is damaged, or cannot be read. */
  record Damaged(Path file, String message) implements StoreFault {}

  /** It can be read, but does not agree with itself. */
  record Disagrees(Verification.Finding finding) implements StoreFault {}
}
