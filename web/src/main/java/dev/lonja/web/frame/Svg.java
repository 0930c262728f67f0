package dev.lonja.web.frame;

import java.util.Locale;
import org.springframework.web.util.HtmlUtils;

/** Builds a drawing as SVG text; everything that comes from data is escaped. */
public final class Svg {

  private final StringBuilder text = new StringBuilder();

  /**
   * A drawing of {@code width} × {@code height} that scales with its place and says what it shows.
   */
  public Svg(int width, int height, String title) {
    this(width, height, "100%", title, "img");
  }

  /** A drawing whose parts lead somewhere, so that it is read part by part. */
  public static Svg withLinks(int width, int height, String title) {
    return new Svg(width, height, "100%", title, "group");
  }

  /** The same in its own size; its place scrolls if it has less room. */
  public static Svg withLinksInItsSize(int width, int height, String title) {
    return new Svg(width, height, String.valueOf(width), title, "group");
  }

  private Svg(int width, int height, String shownWidth, String title, String role) {
    text.append(
        String.format(
            Locale.ROOT,
            "<svg viewBox=\"0 0 %d %d\" width=\"%s\" font-family=\"Words\" role=\"%s\" aria-label=\"%s\" "
                + "xmlns=\"http://www.w3.org/2000/svg\"><title>%s</title>",
            width,
            height,
            shownWidth,
            role,
            escape(title),
            escape(title)));
  }

  public Svg line(double x1, double y1, double x2, double y2, String look) {
    return add("<line x1=\"%.1f\" y1=\"%.1f\" x2=\"%.1f\" y2=\"%.1f\" %s/>", x1, y1, x2, y2, look);
  }

  public Svg rect(double x, double y, double width, double height, String look) {
    return add(
        "<rect x=\"%.1f\" y=\"%.1f\" width=\"%.1f\" height=\"%.1f\" %s/>",
        x, y, width, height, look);
  }

  public Svg path(String data, String look) {
    return add("<path d=\"%s\" %s/>", data, look);
  }

  public Svg label(double x, double y, String words, String look) {
    return add("<text x=\"%.1f\" y=\"%.1f\" %s>%s</text>", x, y, look, escape(words));
  }

  public Svg circle(double x, double y, double radius, String look) {
    return add("<circle cx=\"%.1f\" cy=\"%.1f\" r=\"%.1f\" %s/>", x, y, radius, look);
  }

  /** What follows, up to {@link #close(String)}, leads to a place; without one it leads nowhere. */
  public Svg open(String link, String words) {
    return link.isEmpty()
        ? add("<g>")
        : add("<a href=\"%s\" aria-label=\"%s\">", escape(link), escape(words));
  }

  /** Ends what was opened last. */
  public Svg close(String link) {
    return add(link.isEmpty() ? "</g>" : "</a>");
  }

  public String done() {
    return text + "</svg>";
  }

  private Svg add(String format, Object... values) {
    text.append(String.format(Locale.ROOT, format, values));
    return this;
  }

  private static String escape(String words) {
    return HtmlUtils.htmlEscape(words);
  }
}
