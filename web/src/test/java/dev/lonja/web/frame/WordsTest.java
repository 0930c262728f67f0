package dev.lonja.web.frame;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;

class WordsTest {

  private static final LocalDate DAY = LocalDate.parse("2027-03-16");

  @Test
  void daysAreWrittenForPeople() {
    assertThat(Words.weekdayAndDay(DAY)).isEqualTo("Tue 16");
    assertThat(Words.weekday(DAY)).isEqualTo("Tue");
    assertThat(Words.whole(DAY)).isEqualTo("Tuesday 2027-03-16");
    assertThat(Words.day(DAY, LocalDate.parse("2027-12-31"))).isEqualTo("16 Mar");
    assertThat(Words.day(DAY, LocalDate.parse("2028-01-01"))).isEqualTo("16 Mar 2027");
  }

  @Test
  void countsAgreeWithTheirNouns() {
    assertThat(Words.count(1, "day", "days")).isEqualTo("1 day");
    assertThat(Words.count(0, "day", "days")).isEqualTo("0 days");
    assertThat(Words.count(1_815, "day", "days")).isEqualTo("1,815 days");
  }

  /** 1,800 × 12 / 365 are 59.2 months. */
  @Test
  void howLongSomethingKeepsIsSaidInYears() {
    assertThat(Words.keeps(1)).isEqualTo("1 day");
    assertThat(Words.keeps(59)).isEqualTo("59 days");
    assertThat(Words.keeps(182)).isEqualTo("6 months");
    assertThat(Words.keeps(365)).isEqualTo("1 year");
    assertThat(Words.keeps(1_800)).isEqualTo("4 years 11 months");
    assertThat(Words.keeps(1_825)).isEqualTo("5 years");
  }

  /** Whatever comes from data is escaped, in the title and in labels. */
  @Test
  void drawingsEscapeTheirWords() {
    String drawing =
        new Svg(10, 20, "a <b> & \"c\"").label(1, 2, "<script>", "fill=\"red\"").done();
    assertThat(drawing)
        .startsWith("<svg viewBox=\"0 0 10 20\"")
        .contains("<title>a &lt;b&gt; &amp; &quot;c&quot;</title>", "&lt;script&gt;")
        .doesNotContain("<script>")
        .endsWith("</svg>");
  }
}
