package dev.lonja.web.frame;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class SvgTest {

  /** 0.25 is 0.3 to a tenth, −0.04 is 0.0, and what comes from data is escaped. */
  @Test
  void placesAreWrittenToATenth() {
    String drawn =
        new Svg(10, 5, "a < b")
            .line(0.25, -0.04, -1.26, 12, "class=\"x\"")
            .label(3, 4.5, "<&>", "")
            .done();
    assertThat(drawn)
        .contains("<line x1=\"0.3\" y1=\"0.0\" x2=\"-1.3\" y2=\"12.0\" class=\"x\"/>")
        .contains("<text x=\"3.0\" y=\"4.5\" >&lt;&amp;&gt;</text>")
        .contains("aria-label=\"a &lt; b\"");
  }
}
