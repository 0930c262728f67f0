package dev.lonja.web.kept;

import com.github.benmanes.caffeine.cache.Cache;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.thymeleaf.IEngineConfiguration;
import org.thymeleaf.context.IEngineContext;
import org.thymeleaf.context.ITemplateContext;
import org.thymeleaf.context.IWebContext;
import org.thymeleaf.engine.AttributeName;
import org.thymeleaf.engine.TemplateData;
import org.thymeleaf.model.IProcessableElementTag;
import org.thymeleaf.processor.element.AbstractAttributeTagProcessor;
import org.thymeleaf.processor.element.IElementTagStructureHandler;
import org.thymeleaf.standard.expression.Fragment;
import org.thymeleaf.standard.expression.StandardExpressions;
import org.thymeleaf.templatemode.TemplateMode;
import org.thymeleaf.util.FastStringWriter;

/**
 * {@code kept:insert="~{file :: piece(name=${value})}"}: what the piece makes of the values becomes
 * the content of the element, and the next time that it is given equal ones its markup is written
 * as it was. Values are given by name. A piece sees nothing of the page but them, and holds no
 * form, since each form carries keys of its own.
 */
final class KeptInsert extends AbstractAttributeTagProcessor {

  /** After an element was repeated and chosen, as text is. */
  private static final int PRECEDENCE = 1300;

  /** Names that pages give to what they show; those of the libraries look otherwise. */
  private static final Pattern OF_PAGES = Pattern.compile("(?!spring|thymeleaf)[A-Za-z]+");

  private final Cache<Piece, String> pieces;

  KeptInsert(String prefix, Cache<Piece, String> pieces) {
    super(TemplateMode.HTML, prefix, null, false, "insert", true, PRECEDENCE, true);
    this.pieces = pieces;
  }

  @Override
  protected void doProcess(
      ITemplateContext context,
      IProcessableElementTag tag,
      AttributeName name,
      String value,
      IElementTagStructureHandler structure) {
    IEngineConfiguration configuration = context.getConfiguration();
    Fragment fragment =
        (Fragment)
            StandardExpressions.getExpressionParser(configuration)
                .parseExpression(context, value)
                .execute(context);
    Map<String, @Nullable Object> given = fragment.getParameters();
    if (fragment.hasSyntheticParameters()) {
      throw new IllegalArgumentException("The values of a kept piece need names: " + value);
    }
    TemplateData data = fragment.getTemplateModel().getTemplateData();
    Piece piece =
        new Piece(
            base(context),
            data.getTemplate(),
            data.getTemplateSelectors(),
            given == null ? Map.of() : given);
    structure.setBody(markup((IEngineContext) context, fragment, piece), false);
  }

  /** A piece may hold others, so it is not made within the call that keeps it. */
  private String markup(IEngineContext context, Fragment fragment, Piece piece) {
    @Nullable String known = pieces.getIfPresent(piece);
    if (known != null) {
      return known;
    }
    String made = make(context, fragment, piece);
    pieces.put(piece, made);
    return made;
  }

  private static String base(ITemplateContext context) {
    return context instanceof IWebContext web
        ? web.getExchange().getRequest().getApplicationPath()
        : "";
  }

  private static String make(IEngineContext context, Fragment fragment, Piece piece) {
    Set<String> hidden = new LinkedHashSet<>(context.getVariableNames());
    hidden.removeIf(name -> !OF_PAGES.matcher(name).matches());
    FastStringWriter out = new FastStringWriter();
    context.increaseLevel();
    try {
      hidden.forEach(name -> context.setVariable(name, null));
      context.setVariables(piece.given());
      context
          .getConfiguration()
          .getTemplateManager()
          .process(fragment.getTemplateModel(), context, out);
    } finally {
      context.decreaseLevel();
    }
    String markup = out.toString();
    if (markup.contains("<form")) {
      throw new IllegalStateException(
          "A form in a kept piece: " + piece.template() + " :: " + piece.names());
    }
    return markup;
  }
}
