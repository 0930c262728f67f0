package dev.lonja.web.place;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;

class BayDrawingTest {

  @Test
  void aBinLeadsToItsPageAndSaysHowItStands() {
    Element bin =
        draw(new BayDrawing.Bin("A-03", "4", "short", "2", "2 things, 40 % full, below its least"));
    assertThat(bin.attr("href")).isEqualTo("stores/bins/A-03");
    assertThat(bin.ownText()).isEqualTo("A-03");
    assertThat(bin.attr("title")).isEqualTo("2 things, 40 % full, below its least");
    assertThat(bin.classNames()).contains("bay-bin-4");
    assertThat(bin.select(".bay-mark-short")).hasSize(1);
  }

  @Test
  void whatIsEmptyHasNoMark() {
    Element bin = draw(new BayDrawing.Bin("A-04", "empty", "", "", "empty"));
    assertThat(bin.select("span")).isEmpty();
  }

  /** An address is what somebody typed. */
  @Test
  void anAddressIsTextAndNothingElse() {
    Element bin = draw(new BayDrawing.Bin("<b>/\"A&", "empty", "", "", "empty"));
    assertThat(bin.attr("href")).isEqualTo("stores/bins/%3Cb%3E%2F%22A&");
    assertThat(bin.ownText()).isEqualTo("<b>/\"A&");
    assertThat(bin.select("b")).isEmpty();
  }

  private static Element draw(BayDrawing.Bin bin) {
    return Jsoup.parse("<ul>" + BayDrawing.of(List.of(bin)) + "</ul>").selectFirst("li > a");
  }
}
