package dev.lonja.web.setup;

import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.setting.StandardsDesk;
import dev.lonja.store.reference.ReferenceColumn;
import dev.lonja.store.reference.ReferenceFile;
import dev.lonja.web.frame.Words;
import java.util.List;

/**
 * One file of public reference data.
 *
 * @param history what this store changed, newest first
 */
public record StandardView(
    String name,
    String title,
    String standard,
    boolean editable,
    List<ReferenceColumn> columns,
    List<Row> rows,
    List<Change> history) {

  /** A row; {@code own} if it is not as shipped. */
  public record Row(String key, List<String> cells, boolean own) {}

  public record Change(String when, String who, String what) {}

  /** A file in the list; {@code changed} rows are this store's own. */
  public record FileRow(String name, String title, String standard, int rows, int changed) {

    static FileRow of(StandardsDesk.Standard standard) {
      return new FileRow(
          standard.file().fileName(),
          standard.file().title(),
          standard.file().standard(),
          standard.rows().size(),
          standard.changed());
    }
  }

  static StandardView of(StandardsDesk.Edited edited, StoreClock clock) {
    ReferenceFile file = edited.standard().file();
    return new StandardView(
        file.fileName(),
        file.title(),
        file.standard(),
        file.isEditable(),
        file.columns(),
        edited.standard().rows().stream()
            .map(row -> new Row(row.row().key(), row.row().cells(), row.own()))
            .toList(),
        edited.history().stream()
            .map(
                change ->
                    new Change(
                        Words.day(clock.dayOf(change.at()), clock.today()),
                        change.actor(),
                        change
                            .cells()
                            .map(cells -> String.join(" · ", cells))
                            .orElse(change.key().replace("|", " · ") + " taken out")))
            .toList());
  }
}
