package dev.lonja.web.document;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.io.IOUtils;
import org.apache.pdfbox.io.RandomAccessReadBuffer;
import org.apache.pdfbox.multipdf.PDFMergerUtility;
import org.apache.pdfbox.pdmodel.PDDocument;

/** Counts the pages of documents, and puts them behind each other. */
public final class PdfPages {

  private PdfPages() {}

  /** How many pages a document has. */
  public static int count(byte[] document) {
    try (PDDocument read = Loader.loadPDF(document)) {
      return read.getNumberOfPages();
    } catch (IOException e) {
      throw new UncheckedIOException("cannot read what was written", e);
    }
  }

  /** The first with the pages of the others at its end; itself if there are none. */
  public static byte[] joined(byte[] first, List<byte[]> others) {
    if (others.isEmpty()) {
      return first;
    }
    ByteArrayOutputStream all = new ByteArrayOutputStream();
    PDFMergerUtility merger = new PDFMergerUtility();
    merger.addSource(new RandomAccessReadBuffer(first));
    others.forEach(other -> merger.addSource(new RandomAccessReadBuffer(other)));
    merger.setDestinationStream(all);
    try {
      merger.mergeDocuments(IOUtils.createMemoryOnlyStreamCache());
    } catch (IOException e) {
      throw new UncheckedIOException("cannot join documents", e);
    }
    return all.toByteArray();
  }
}
