package dev.lonja.core.crossref;

import dev.lonja.core.part.Part;
import dev.lonja.core.part.PartId;
import java.util.Collection;
import java.util.List;

/** Where statements and parts are read from. */
public interface StatementSource {

  /**
   * Every standing statement that names one of these parts, in the order in which they were made.
   */
  List<Statement> standing(Collection<PartId> parts);

  /** These parts, in any order. */
  List<Part> parts(Collection<PartId> ids);
}
