package dev.lonja.store.reference;

import java.util.ArrayList;
import java.util.List;

/** A row of a reference file, a cell for each column. */
public record ReferenceRow(ReferenceFile file, List<String> cells) {

  public ReferenceRow {
    cells = List.copyOf(cells);
    if (cells.size() != file.columns().size()) {
      throw new IllegalArgumentException(
          "cells are " + cells.size() + "; allowed are " + file.columns().size());
    }
  }

  /** What tells it from the other rows of its file. */
  public String key() {
    List<String> keys = new ArrayList<>();
    for (int i = 0; i < cells.size(); i++) {
      if (file.columns().get(i).isKey()) {
        keys.add(cells.get(i));
      }
    }
    return String.join("|", keys);
  }

  public String cell(String column) {
    for (int i = 0; i < cells.size(); i++) {
      if (file.columns().get(i).name().equals(column)) {
        return cells.get(i);
      }
    }
    throw new IllegalArgumentException(
        "column is " + column + "; allowed are those of " + file.fileName());
  }
}
