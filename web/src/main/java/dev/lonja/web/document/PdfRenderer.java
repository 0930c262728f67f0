package dev.lonja.web.document;

import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FSFontUseCase;
import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.svgsupport.BatikSVGDrawer;
import com.openhtmltopdf.util.XRLog;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jsoup.Jsoup;
import org.jsoup.helper.W3CDom;
import org.springframework.http.ContentDisposition;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Component;
import org.thymeleaf.ITemplateEngine;
import org.thymeleaf.context.Context;

/** Makes a PDF of a template; the faces of the screens are embedded. */
@Component
public class PdfRenderer {

  private static final String WORDS = "Words";
  private static final String CODES = "Codes";

  private final ITemplateEngine templates;

  PdfRenderer(ITemplateEngine templates) {
    this.templates = templates;
    XRLog.setLoggingEnabled(false);
  }

  /** The document as an answer that a browser shows in place. */
  public ResponseEntity<byte[]> answer(String template, String fileName, Map<String, Object> data) {
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_PDF)
        .header(
            "Content-Disposition",
            ContentDisposition.inline().filename(fileName).build().toString())
        .body(render(template, data));
  }

  /** The bytes of the document. */
  public byte[] render(String template, Map<String, Object> data) {
    Context context = new Context();
    context.setVariables(data);
    String page = templates.process("paper/" + template, context);
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    PdfRendererBuilder builder = new PdfRendererBuilder();
    for (String weight : List.of("400", "700")) {
      face(builder, "next-" + weight, WORDS, weight);
      face(builder, "mono-" + weight, CODES, weight);
    }
    builder.useSVGDrawer(new BatikSVGDrawer());
    builder.withW3cDocument(new W3CDom().fromJsoup(Jsoup.parse(page)), "/");
    builder.toStream(bytes);
    try {
      builder.run();
    } catch (IOException e) {
      throw new UncheckedIOException("cannot write " + template, e);
    }
    return bytes.toByteArray();
  }

  private static void face(PdfRendererBuilder builder, String file, String family, String weight) {
    builder.useFont(
        () -> open(file),
        family,
        Integer.parseInt(weight),
        FontStyle.NORMAL,
        true,
        EnumSet.of(FSFontUseCase.DOCUMENT, FSFontUseCase.SVG));
  }

  private static InputStream open(String file) {
    return Objects.requireNonNull(
        PdfRenderer.class.getResourceAsStream(file + ".ttf"), "the face " + file + " is missing");
  }
}
