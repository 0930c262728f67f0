package dev.lonja.store.service;

import dev.lonja.core.quantity.Limits;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDDocumentCatalog;
import org.apache.pdfbox.pdmodel.PDDocumentNameDictionary;

/**
 * Tells whether bytes are a document of pages and nothing else, by opening it and not by what it is
 * called: no password, no program, no other files within.
 */
public final class ReceiptPaper {

  private static final byte[] START = "%PDF-".getBytes(StandardCharsets.US_ASCII);

  private ReceiptPaper() {}

  /** True for a PDF of 1 to 20 pages that may be kept. */
  public static boolean is(byte[] content) {
    if (content.length > Limits.RECEIPT_BYTES || !startsAsOne(content)) {
      return false;
    }
    try (PDDocument document = Loader.loadPDF(content)) {
      return !document.isEncrypted()
          && document.getNumberOfPages() >= 1
          && document.getNumberOfPages() <= Limits.RECEIPT_PAGES
          && holdsPagesAlone(document.getDocumentCatalog());
    } catch (IOException | RuntimeException e) {
      // a reader says in many ways that it cannot make sense of a file
      return false;
    }
  }

  private static boolean startsAsOne(byte[] content) {
    return content.length > START.length
        && Arrays.equals(content, 0, START.length, START, 0, START.length);
  }

  private static boolean holdsPagesAlone(PDDocumentCatalog catalog) throws IOException {
    PDDocumentNameDictionary names = catalog.getNames();
    boolean plainNames =
        names == null || (names.getJavaScript() == null && names.getEmbeddedFiles() == null);
    return plainNames && catalog.getOpenAction() == null && catalog.getAcroForm() == null;
  }
}
