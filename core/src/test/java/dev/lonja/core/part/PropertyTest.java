package dev.lonja.core.part;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What is recorded of a part, in and out. */
class PropertyTest {

  @ParameterizedTest
  @CsvSource({
    "height, 93.25, 93.25, 93.25 mm",
    "height, 93.20 mm, 93.2, 93.2 mm",
    // 3 11/16 in = 3.6875 × 25.4 = 93.6625 mm, held as 93.663
    "height, 3 11/16 in, 93.663, 93.66 mm",
    "bypass, 1.2, 1.2, 1.2 bar",
    "bypass, none, none, none",
    "fineness, 12.5, 12.5, 12.5 µm",
    "anti_drain_valve, yes, yes, yes",
    "material, Copper, copper, copper",
    "hardness, 70, 70, 70 Shore A",
    "thread, 'M20x1,5', M20×1.5, M20×1.5"
  })
  void isReadWrittenAndShown(String name, String typed, String written, String shown) {
    Properties properties = Properties.NONE.withWritten(name, typed);
    Property<?> property = Property.named(name).orElseThrow();
    assertThat(properties.written(property)).isEqualTo(written);
    assertThat(properties.display(property)).isEqualTo(shown);
    assertThat(Properties.NONE.withWritten(name, written)).isEqualTo(properties);
  }

  @ParameterizedTest
  @ValueSource(strings = {"-3", "0", "", "93,200", "10001", "3/0 in", "tall"})
  void aHeightThatIsNone(String typed) {
    assertThat(Property.HEIGHT.parse(typed)).isEmpty();
  }

  @Test
  void whatIsNotAllowedThrowsWithTheValue() {
    assertThatThrownBy(() -> Properties.NONE.withWritten("hardness", "9"))
        .hasMessageContaining("\"9\"")
        .hasMessageContaining("10 to 100");
    assertThatThrownBy(() -> Properties.NONE.withWritten("colour", "red"))
        .hasMessageContaining("colour");
  }

  @Test
  void noneIsAValueAndAbsentIsNot() {
    Properties none = Properties.NONE.with(Property.BYPASS, Optional.empty());
    assertThat(none.get(Property.BYPASS)).contains(Optional.empty());
    assertThat(Properties.NONE.get(Property.BYPASS)).isEmpty();
  }

  @Test
  void everyFamilyKnowsItsPropertiesByName() {
    for (Family family : Family.values()) {
      for (Property<?> property : family.properties()) {
        assertThat(Property.named(property.name()))
            .hasValueSatisfying(p -> assertThat((Object) p).isSameAs(property));
      }
    }
  }
}
