package dev.lonja.web.kept;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.Set;
import org.springframework.stereotype.Component;
import org.thymeleaf.dialect.AbstractProcessorDialect;
import org.thymeleaf.processor.IProcessor;
import org.thymeleaf.standard.StandardDialect;

/** What templates may ask for beside what the library has: {@code kept:insert}. */
@Component
class KeptDialect extends AbstractProcessorDialect {

  private static final String PREFIX = "kept";

  /** Characters of markup and what goes with it; some thousands of rows. */
  private static final long MOST = 24_000_000;

  private final Cache<Piece, String> pieces =
      Caffeine.newBuilder().maximumWeight(MOST).weigher(Piece::weight).build();

  KeptDialect() {
    super("Lonja", PREFIX, StandardDialect.PROCESSOR_PRECEDENCE);
  }

  @Override
  public Set<IProcessor> getProcessors(String prefix) {
    return Set.of(new KeptInsert(prefix, pieces));
  }
}
