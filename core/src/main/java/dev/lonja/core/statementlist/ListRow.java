package dev.lonja.core.statementlist;

import dev.lonja.core.crossref.Confidence;
import dev.lonja.core.crossref.Source;
import dev.lonja.core.crossref.StatementKind;
import java.time.LocalDate;

/**
 * A row of a list of cross-references: "make number <i>kind</i> otherMake otherNumber".
 *
 * @param line of the file, counted from 1
 */
public record ListRow(
    long line,
    String make,
    String number,
    StatementKind kind,
    String otherMake,
    String otherNumber,
    Source source,
    LocalDate saidOn,
    Confidence confidence,
    String note) {}
