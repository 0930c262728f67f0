package dev.lonja.web.receipt;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.quantity.Limits;
import dev.lonja.desk.receipt.ReceiptRefusal;
import dev.lonja.store.service.ReceiptRepository.Content;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/** Papers that are kept as files: why one is not, and how one is shown. */
public final class PaperWording {

  public static final RefusalWording REFUSED =
      RefusalWording.of(
          ReceiptRefusal.class,
          Cases.<ReceiptRefusal, Problem>over(ReceiptRefusal.class)
              .when(
                  ReceiptRefusal.UnknownUnit.class,
                  none -> Problem.ofWhole("No unit " + none.code() + " is in service."))
              .when(
                  ReceiptRefusal.NoReceipt.class,
                  none ->
                      new Problem(
                          "file",
                          "That file is neither a PNG or JPEG photo nor a PDF of 1 to "
                              + Limits.RECEIPT_PAGES
                              + " pages without password, forms or other files in it."))
              .when(
                  ReceiptRefusal.TooLarge.class,
                  large ->
                      new Problem(
                          "file",
                          "The file has "
                              + large.bytes() / 1024
                              + " kB; allowed is up to "
                              + large.most() / 1024
                              + " kB."))
              .when(
                  ReceiptRefusal.OutsideService.class,
                  out ->
                      new Problem(
                          "day",
                          "The day is "
                              + out.day()
                              + "; allowed is from the start of service, "
                              + out.first()
                              + ", to today, "
                              + out.last()
                              + "."))
              .when(
                  ReceiptRefusal.NotThere.class,
                  none -> Problem.ofWhole("That receipt is not on file any more."))
              .all());

  private PaperWording() {}

  /** A photo is shown, a document is handed out. */
  public static ResponseEntity<byte[]> answer(Content content, String name) {
    boolean photo = isPhoto(content.mediaType());
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType(content.mediaType()))
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            (photo ? ContentDisposition.inline() : ContentDisposition.attachment())
                .filename(name + (photo ? ".jpg" : ".pdf"))
                .build()
                .toString())
        .body(content.bytes());
  }

  /** What is not a photo is a document. */
  public static boolean isPhoto(String mediaType) {
    return mediaType.startsWith("image/");
  }
}
