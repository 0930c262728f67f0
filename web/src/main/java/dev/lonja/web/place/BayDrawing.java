package dev.lonja.web.place;

import java.nio.charset.StandardCharsets;
import java.util.List;
import org.springframework.web.util.HtmlUtils;
import org.springframework.web.util.UriUtils;

/**
 * Draws a row of bins. A store has thousands of them, for each of which a template would work out
 * six expressions.
 */
final class BayDrawing {

  /**
   * A bin on the map.
   *
   * @param fill the name of its shade: empty, some, or how many tenths are full
   * @param mark short, note or nothing
   * @param things how many lie in it, if several
   * @param words all of it; it describes the link, whoever reads it or points at it
   */
  record Bin(String address, String fill, String mark, String things, String words) {}

  private BayDrawing() {}

  /** The items of a list; their links are beside the page of the map. */
  static String of(List<Bin> bins) {
    StringBuilder html = new StringBuilder();
    bins.forEach(bin -> draw(html, bin));
    return html.toString();
  }

  private static void draw(StringBuilder html, Bin bin) {
    html.append("<li><a class=\"bay-bin bay-bin-")
        .append(bin.fill())
        .append("\" title=\"")
        .append(HtmlUtils.htmlEscape(bin.words()))
        .append("\" href=\"stores/bins/")
        .append(UriUtils.encodePathSegment(bin.address(), StandardCharsets.UTF_8))
        .append("\">")
        .append(HtmlUtils.htmlEscape(bin.address()));
    if (!bin.mark().isEmpty()) {
      html.append("<span class=\"bay-mark bay-mark-")
          .append(bin.mark())
          .append("\" aria-hidden=\"true\"></span>");
    }
    if (!bin.things().isEmpty()) {
      html.append("<span class=\"bay-things\" aria-hidden=\"true\">")
          .append(bin.things())
          .append("</span>");
    }
    html.append("</a></li>");
  }
}
