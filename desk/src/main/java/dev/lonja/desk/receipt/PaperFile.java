package dev.lonja.desk.receipt;

import dev.lonja.core.quantity.Limits;
import dev.lonja.desk.item.PictureDesk;
import dev.lonja.desk.item.PictureMaker;
import dev.lonja.store.service.ReceiptPaper;
import dev.lonja.store.service.ReceiptRepository.Content;
import java.util.Optional;

/** A paper that somebody brings as a file: a photo, which is made anew, or a document of pages. */
public final class PaperFile {

  /** The largest file that is taken; of a photo far less is kept. */
  public static final int MOST_BYTES = PictureDesk.MOST_BYTES;

  private PaperFile() {}

  /** What is kept of a file, or why it is not. */
  public record Read(Optional<Content> content, Optional<ReceiptRefusal> refusal) {
    private static Read refused(ReceiptRefusal refusal) {
      return new Read(Optional.empty(), Optional.of(refusal));
    }
  }

  public static Read of(byte[] file) {
    int bytes = file.length;
    if (bytes > MOST_BYTES) {
      return Read.refused(new ReceiptRefusal.TooLarge(bytes, MOST_BYTES));
    }
    Optional<Content> content = content(file);
    if (content.isEmpty()) {
      return Read.refused(
          looksLikeDocument(file) && bytes > Limits.RECEIPT_BYTES
              ? new ReceiptRefusal.TooLarge(bytes, Limits.RECEIPT_BYTES)
              : new ReceiptRefusal.NoReceipt());
    }
    return new Read(content, Optional.empty());
  }

  private static boolean looksLikeDocument(byte[] file) {
    return file.length > 4 && file[0] == '%' && file[1] == 'P' && file[2] == 'D' && file[3] == 'F';
  }

  private static Optional<Content> content(byte[] file) {
    if (ReceiptPaper.is(file)) {
      return Optional.of(new Content("application/pdf", file));
    }
    return PictureMaker.anew(file).map(photo -> new Content(photo.mediaType(), photo.content()));
  }
}
