package dev.lonja.web.unit;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.Filling;
import dev.lonja.core.fleet.Outline;
import dev.lonja.core.fluid.Spec;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.parser.Parser;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** The side section, for every outline with a compartment of every kind. */
class SectionDrawingTest {

  private static final int BLOCK = 26;
  private static final int WIDTH = 640;
  private static final int HEIGHT = 282;

  @ParameterizedTest
  @EnumSource(Outline.class)
  void everyCompartmentHasABlockOfItsOwnAndALabelThatLeadsToIt(Outline outline) {
    List<SectionDrawing.Labelled> all = compartments();
    Document svg =
        Jsoup.parse(SectionDrawing.draw(outline, all, "a <machine>"), "", Parser.xmlParser());
    assertThat(svg.select("title").text()).isEqualTo("a <machine>");
    for (SectionDrawing.Labelled labelled : all) {
      Element link = svg.selectFirst("a[href='" + labelled.link() + "']");
      assertThat(link).as(labelled.link()).isNotNull();
      assertThat(link.text()).contains(labelled.compartment().name()).contains("1.00 L");
    }
    List<Element> blocks = svg.select("rect[width='26.0']");
    assertThat(blocks).hasSize(all.size());
    for (Element block : blocks) {
      assertThat(at(block, "x")).isBetween(0.0, (double) WIDTH - BLOCK);
      assertThat(at(block, "y")).isBetween(0.0, (double) HEIGHT - BLOCK);
      for (Element other : blocks) {
        boolean apart =
            block == other
                || Math.abs(at(block, "x") - at(other, "x")) >= BLOCK
                || Math.abs(at(block, "y") - at(other, "y")) >= BLOCK;
        assertThat(apart).as(outline + " " + block + other).isTrue();
      }
    }
  }

  private static double at(Element block, String axis) {
    return Double.parseDouble(block.attr(axis));
  }

  private static List<SectionDrawing.Labelled> compartments() {
    List<SectionDrawing.Labelled> all = new ArrayList<>();
    for (Compartment.Kind kind : Compartment.Kind.values()) {
      Compartment compartment =
          new Compartment(
              new CompartmentId(kind.ordinal() + 1),
              kind.words(),
              kind,
              Spec.ofKind(kind.usualFluid()),
              Optional.empty(),
              Map.of(),
              Filling.UNSAID,
              "",
              Optional.empty());
      all.add(new SectionDrawing.Labelled(compartment, "1.00 L", "#c-" + kind.ordinal()));
    }
    return all;
  }
}
