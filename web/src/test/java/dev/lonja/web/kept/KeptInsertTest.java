package dev.lonja.web.kept;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.RETURNS_DEEP_STUBS;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.atomic.AtomicInteger;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.thymeleaf.context.WebContext;
import org.thymeleaf.spring6.SpringTemplateEngine;
import org.thymeleaf.templateresolver.ClassLoaderTemplateResolver;
import org.thymeleaf.web.IWebExchange;

class KeptInsertTest {

  private final SpringTemplateEngine templates = new SpringTemplateEngine();
  private final AtomicInteger reads = new AtomicInteger();

  @BeforeEach
  void templates() {
    ClassLoaderTemplateResolver files = new ClassLoaderTemplateResolver();
    files.setPrefix("kept/");
    files.setSuffix(".html");
    templates.setTemplateResolver(files);
    templates.addDialect(new KeptDialect());
  }

  /** Equal to another that says the same; it counts how often it is read. */
  public final class Word {
    private final String text;

    Word(String text) {
      this.text = text;
    }

    public String getText() {
      reads.incrementAndGet();
      return text;
    }

    @Override
    public boolean equals(Object other) {
      return other instanceof Word word && word.text.equals(text);
    }

    @Override
    public int hashCode() {
      return Objects.hash(text);
    }
  }

  private Document look(String template, String base, String... words) {
    return Jsoup.parse(
        templates.process(
            template,
            new WebContext(
                exchange(base),
                Locale.ENGLISH,
                Map.of("words", List.of(words).stream().map(Word::new).toList()))));
  }

  /** A request under a base; what a page shows is kept in its attributes. */
  private static IWebExchange exchange(String base) {
    Map<String, Object> attributes = new HashMap<>();
    IWebExchange exchange = mock(IWebExchange.class, RETURNS_DEEP_STUBS);
    when(exchange.getRequest().getApplicationPath()).thenReturn(base);
    when(exchange.getAttributeMap()).thenReturn(attributes);
    when(exchange.getAllAttributeNames()).thenAnswer(asked -> attributes.keySet());
    when(exchange.containsAttribute(any()))
        .thenAnswer(asked -> attributes.containsKey(asked.<String>getArgument(0)));
    when(exchange.getAttributeValue(any()))
        .thenAnswer(asked -> attributes.get(asked.<String>getArgument(0)));
    doAnswer(asked -> attributes.put(asked.getArgument(0), asked.getArgument(1)))
        .when(exchange)
        .setAttributeValue(any(), any());
    doAnswer(asked -> attributes.remove(asked.<String>getArgument(0)))
        .when(exchange)
        .removeAttribute(any());
    when(exchange.transformURL(any())).thenAnswer(asked -> asked.getArgument(0));
    return exchange;
  }

  @Test
  void stands_as_the_content_of_its_element_or_alone() {
    Document page = look("page", "", "filter", "plug");
    assertThat(page.select("li > a").eachText()).containsExactly("filter", "plug");
    assertThat(page.select("li").eachAttr("class")).containsExactly("filter", "plug");
    assertThat(page.select("ul > b > a").eachText()).containsExactly("filter");
    assertThat(page.text()).doesNotContain("gone");
  }

  @Test
  void equal_values_are_written_as_before_and_others_are_made() {
    look("page", "", "filter");
    // the class of the line is read at each look; the piece reads the word for its link and its
    // text
    assertThat(reads.getAndSet(0)).isEqualTo(1 + 2);
    assertThat(look("page", "", "filter").select("li a").text()).isEqualTo("filter");
    assertThat(reads.getAndSet(0)).isEqualTo(1);
    assertThat(look("page", "", "plug").select("li a").text()).isEqualTo("plug");
    assertThat(reads.get()).isEqualTo(1 + 2);
  }

  @Test
  void nothing_of_the_page_is_seen_that_is_not_given() {
    assertThat(look("page", "", "filter").select("i").eachText()).allMatch(String::isEmpty);
  }

  @Test
  void links_are_those_of_the_base_that_the_page_is_asked_for_under() {
    assertThat(look("page", "", "plug").select("li a").attr("href")).isEqualTo("/words/plug");
    assertThat(look("page", "/quay", "plug").select("li a").attr("href"))
        .isEqualTo("/quay/words/plug");
  }

  @Test
  void a_form_is_refused_since_its_keys_are_of_one_page() {
    assertThatThrownBy(() -> look("form", "", "plug"))
        .hasRootCauseMessage("A form in a kept piece: pieces :: [sent]");
  }

  @Test
  void values_without_names_are_refused() {
    assertThatThrownBy(() -> look("unnamed", "", "plug"))
        .hasRootCauseMessage(
            "The values of a kept piece need names: ~{pieces :: word(${words[0]})}");
  }
}
