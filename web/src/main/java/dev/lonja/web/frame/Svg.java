package dev.lonja.web.frame;

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
    String escaped = escape(title);
    put("<svg viewBox=\"0 0 " + width + " " + height + "\" width=\"" + shownWidth);
    put("\" font-family=\"Words\" role=\"" + role + "\" aria-label=\"" + escaped);
    put("\" xmlns=\"http://www.w3.org/2000/svg\"><title>" + escaped + "</title>");
  }

  public Svg line(double x1, double y1, double x2, double y2, String look) {
    put("<line x1=\"").at(x1).put("\" y1=\"").at(y1).put("\" x2=\"").at(x2).put("\" y2=\"").at(y2);
    return put("\" ").put(look).put("/>");
  }

  public Svg rect(double x, double y, double width, double height, String look) {
    put("<rect x=\"").at(x).put("\" y=\"").at(y);
    put("\" width=\"").at(width).put("\" height=\"").at(height);
    return put("\" ").put(look).put("/>");
  }

  public Svg path(String data, String look) {
    return put("<path d=\"").put(data).put("\" ").put(look).put("/>");
  }

  public Svg label(double x, double y, String words, String look) {
    put("<text x=\"").at(x).put("\" y=\"").at(y).put("\" ").put(look).put(">");
    return put(escape(words)).put("</text>");
  }

  public Svg circle(double x, double y, double radius, String look) {
    put("<circle cx=\"").at(x).put("\" cy=\"").at(y).put("\" r=\"").at(radius);
    return put("\" ").put(look).put("/>");
  }

  /** What follows, up to {@link #close(String)}, leads to a place; without one it leads nowhere. */
  public Svg open(String link, String words) {
    return link.isEmpty()
        ? put("<g>")
        : put("<a href=\"").put(escape(link)).put("\" aria-label=\"").put(escape(words)).put("\">");
  }

  /** Ends what was opened last. */
  public Svg close(String link) {
    return put(link.isEmpty() ? "</g>" : "</a>");
  }

  public String done() {
    return text + "</svg>";
  }

  private Svg put(String part) {
    text.append(part);
    return this;
  }

  private Svg at(double place) {
    append(text, place);
    return this;
  }

  /** To a tenth; a page draws thousands of these, and a formatter would be most of its time. */
  private static void append(StringBuilder text, double place) {
    long tenths = Math.round(place * 10);
    text.append(tenths < 0 ? "-" : "").append(Math.abs(tenths) / 10);
    text.append('.').append(Math.abs(tenths) % 10);
  }

  /** The strokes of a path, to a tenth. */
  public static final class Path {
    private final StringBuilder data = new StringBuilder();

    public Path moveTo(double x, double y) {
      return to('M', x, y);
    }

    public Path lineTo(double x, double y) {
      return to('L', x, y);
    }

    public String data() {
      return data.toString();
    }

    private Path to(char command, double x, double y) {
      append(data.append(command), x);
      append(data.append(' '), y);
      return this;
    }
  }

  private static String escape(String words) {
    return HtmlUtils.htmlEscape(words);
  }
}
