package dev.lonja.web.document;

import de.siegmar.fastcsv.writer.CsvWriter;
import de.siegmar.fastcsv.writer.LineDelimiter;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.springframework.http.ContentDisposition;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/** A table as CSV by RFC 4180: UTF-8, a header row, decimal points, days by ISO 8601. */
public final class CsvAnswer {

  private static final MediaType CSV = new MediaType("text", "csv", StandardCharsets.UTF_8);

  private final List<List<String>> rows = new ArrayList<>();

  public CsvAnswer(String... header) {
    rows.add(List.of(header));
  }

  /** One more row, of as many cells as the header has. */
  public void row(String... cells) {
    if (cells.length != rows.get(0).size()) {
      throw new IllegalArgumentException(
          "cells are " + cells.length + "; allowed are " + rows.get(0).size());
    }
    rows.add(List.of(cells));
  }

  public ResponseEntity<byte[]> as(String fileName) {
    StringWriter text = new StringWriter();
    try (CsvWriter csv = CsvWriter.builder().lineDelimiter(LineDelimiter.CRLF).build(text)) {
      rows.forEach(csv::writeRecord);
    } catch (IOException e) {
      throw new UncheckedIOException("cannot write " + fileName, e);
    }
    return ResponseEntity.ok()
        .contentType(CSV)
        .header(
            "Content-Disposition",
            ContentDisposition.attachment().filename(fileName).build().toString())
        .body(text.toString().getBytes(StandardCharsets.UTF_8));
  }
}
