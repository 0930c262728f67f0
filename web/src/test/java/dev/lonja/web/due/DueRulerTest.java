package dev.lonja.web.due;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.service.DueSpread;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.jsoup.select.Elements;
import org.junit.jupiter.api.Test;

/** A ruler of 13 weeks, 91 days, on 408 of its 420 units of width, from 6 on. */
class DueRulerTest {

  private static final LocalDate TODAY = LocalDate.parse("2027-03-15");
  private static final String POST = "rect[fill=#0b6573]";
  private static final String BAR = "rect[fill=#9fc3c6]";

  /** 30 days on: 6 + 30 / 91 × 408 = 140.5; the post is 6 wide, so it begins at 137.5. */
  @Test
  void aPostStandsOnItsDay() {
    Elements posts = draw(post(30, false, Optional.empty())).select(POST);
    assertThat(posts).hasSize(1);
    assertThat(posts.attr("x")).isEqualTo("137.5");
  }

  /** From day 20 to day 45: 6 + 20 / 91 × 408 = 95.7, and 25 / 91 × 408 = 112.1 wide. */
  @Test
  void theBarRunsFromP10ToP90() {
    Element bar = draw(post(30, false, Optional.of(spread(20, 45)))).selectFirst(BAR);
    assertThat(bar.attr("x")).isEqualTo("95.7");
    assertThat(bar.attr("width")).isEqualTo("112.1");
  }

  /** What lies beyond the ruler is cut at its end, 414; a bar that begins beyond is not drawn. */
  @Test
  void theRulerEndsWhereItEnds() {
    Element cut = draw(post(30, false, Optional.of(spread(20, 400)))).selectFirst(BAR);
    assertThat(Double.parseDouble(cut.attr("x")) + Double.parseDouble(cut.attr("width")))
        .isCloseTo(414, org.assertj.core.api.Assertions.within(0.11));
    assertThat(draw(post(95, false, Optional.of(spread(92, 99)))).select("rect")).isEmpty();
  }

  /**
   * 2027-03-15 is a Monday: twelve Mondays lie between it and its thirteenth week, and the firsts
   * of April, May and June are a Thursday, a Saturday and a Tuesday: 15 ticks.
   */
  @Test
  void aTickStandsOnEachMondayAndFirstOfAMonth() {
    String ticks = draw(post(30, false, Optional.empty())).selectFirst("path").attr("d");
    assertThat(ticks.chars().filter(c -> c == 'M').count()).isEqualTo(15);
    // Monday 22 March: 6 + 7 / 91 × 408 = 37.4, short; Thursday 1 April: 6 + 17 / 91 × 408 = 82.2
    assertThat(ticks).startsWith("M37.4 24.0L37.4 28.0").contains("M82.2 24.0L82.2 33.0");
  }

  @Test
  void overdueStandsOutAndTheTitleIsThere() {
    Element drawing = draw(post(0, true, Optional.empty()));
    assertThat(drawing.select("rect[fill=#b8361c]")).hasSize(1);
    assertThat(drawing.selectFirst("title").text()).isEqualTo("RT-05: planned 15 Mar");
    assertThat(drawing.attr("role")).isEqualTo("img");
  }

  private static Element draw(DueRuler.Post post) {
    String svg = new DueRuler(TODAY, 13).draw(List.of(post), "RT-05: planned 15 Mar");
    return Jsoup.parseBodyFragment(svg).selectFirst("svg");
  }

  private static DueRuler.Post post(int day, boolean overdue, Optional<DueSpread> spread) {
    return new DueRuler.Post(TODAY.plusDays(day), overdue, spread);
  }

  private static DueSpread spread(int p10, int p90) {
    return new DueSpread(
        Optional.of(TODAY.plusDays(p10)),
        Optional.of(TODAY.plusDays((p10 + p90) / 2)),
        Optional.of(TODAY.plusDays(p90)));
  }
}
