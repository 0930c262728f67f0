package dev.lonja.web.document;

import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FSFontUseCase;
import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.svgsupport.BatikSVGDrawer;
import com.openhtmltopdf.util.XRLog;
import java.io.ByteArrayOutputStream;
import java.io.File;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.EnumSet;
import java.util.HashMap;
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
  private final List<Face> faces;

  /** A face that is embedded; drawings can only take it from a file. */
  private record Face(String family, int weight, File file) {}

  PdfRenderer(ITemplateEngine templates) {
    this.templates = templates;
    this.faces =
        List.of(
            face(WORDS, 400, "next-400"),
            face(WORDS, 700, "next-700"),
            face(CODES, 400, "mono-400"),
            face(CODES, 700, "mono-700"));
    XRLog.setLoggingEnabled(false);
  }

  /** The document as an answer that a browser shows in place. */
  public ResponseEntity<byte[]> answer(String template, String fileName, Map<String, Object> data) {
    return answer(fileName, render(template, data));
  }

  /** A document that is there as an answer that a browser shows in place. */
  public static ResponseEntity<byte[]> answer(String fileName, byte[] document) {
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_PDF)
        .header(
            "Content-Disposition",
            ContentDisposition.inline().filename(fileName).build().toString())
        .body(document);
  }

  /**
   * A template as an answer, in smaller letters where that makes it one page; it is told whether
   * they are as {@code tight}.
   */
  public ResponseEntity<byte[]> answerOnOnePage(
      String template, String fileName, Map<String, Object> data) {
    Map<String, Object> all = new HashMap<>(data);
    all.put("tight", false);
    byte[] wide = render(template, all);
    if (PdfPages.count(wide) == 1) {
      return answer(fileName, wide);
    }
    // one page is worth somewhat smaller letters; two are not
    all.put("tight", true);
    byte[] tight = render(template, all);
    return answer(fileName, PdfPages.count(tight) == 1 ? tight : wide);
  }

  /** The bytes of the document. */
  public byte[] render(String template, Map<String, Object> data) {
    Context context = new Context();
    context.setVariables(data);
    String page = templates.process("paper/" + template, context);
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    PdfRendererBuilder builder = new PdfRendererBuilder();
    faces.forEach(face -> embed(builder, face));
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

  private static void embed(PdfRendererBuilder builder, Face face) {
    builder.useFont(
        face.file(),
        face.family(),
        face.weight(),
        FontStyle.NORMAL,
        true,
        EnumSet.of(FSFontUseCase.DOCUMENT, FSFontUseCase.SVG));
  }

  private static Face face(String family, int weight, String name) {
    try (InputStream shipped = PdfRenderer.class.getResourceAsStream(name + ".ttf")) {
      Path file = Files.createTempFile("lonja-" + name, ".ttf");
      file.toFile().deleteOnExit();
      Files.copy(
          Objects.requireNonNull(shipped, "the face " + name + " is missing"),
          file,
          StandardCopyOption.REPLACE_EXISTING);
      return new Face(family, weight, file.toFile());
    } catch (IOException e) {
      throw new UncheckedIOException("cannot lay out the face " + name, e);
    }
  }
}
