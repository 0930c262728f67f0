package dev.lonja.app.demo.master;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * A table of the exchange format while it is filled; rows are numbered from 1 in its first column.
 */
public final class Sheet {

  private final String header;
  private final List<String> rows = new ArrayList<>();

  public Sheet(String header) {
    this.header = header;
  }

  /** Adds a row behind its number, which is returned; {@code null} is an empty cell. */
  public long add(@Nullable Object... cells) {
    long id = rows.size() + 1;
    List<Object> all = new ArrayList<>();
    all.add(id);
    all.addAll(java.util.Arrays.asList(cells));
    rows.add(all.stream().map(Sheet::cell).collect(Collectors.joining(",")));
    return id;
  }

  public String text() {
    return header + "\r\n" + rows.stream().map(row -> row + "\r\n").collect(Collectors.joining());
  }

  private static String cell(@Nullable Object value) {
    String text = Objects.toString(value, "");
    boolean plain = text.chars().noneMatch(c -> c == ',' || c == '"' || c == '\n');
    return plain ? text : '"' + text.replace("\"", "\"\"") + '"';
  }
}
