package dev.lonja.web.backup;

import java.util.List;
import java.util.Optional;

/** The page of copies, ready for its template. */
public record BackupView(List<Folder> folders, Optional<String> failure, Optional<String> jump) {

  /** A folder with what is kept in it. */
  public record Folder(String title, String path, List<Row> rows) {}

  /**
   * One copy.
   *
   * @param file where it is taken out; empty where only the disk has it
   */
  public record Row(String day, String made, String size, Optional<String> file) {}
}
