package dev.lonja.app.server;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.LonjaApplication;
import dev.lonja.app.demo.DemoStore;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.part.PartKey;
import dev.lonja.core.person.PersonId;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.forecast.Trials;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.StoreFiles;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.CookieManager;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;
import org.junit.jupiter.api.extension.AfterAllCallback;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.springframework.beans.factory.config.BeanDefinition;
import org.springframework.beans.factory.config.ConfigurableListableBeanFactory;
import org.springframework.beans.factory.support.BeanDefinitionBuilder;
import org.springframework.beans.factory.support.BeanDefinitionRegistry;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.support.GenericApplicationContext;
import org.springframework.core.io.Resource;
import org.springframework.core.type.classreading.CachingMetadataReaderFactory;
import org.springframework.core.type.classreading.MetadataReader;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.thymeleaf.spring6.ISpringTemplateEngine;

/**
 * The real application on a free port, with data of its own, for the tests of one class. Its day is
 * pinned to Monday 15 March 2027.
 */
public final class LonjaServer implements BeforeAllCallback, AfterAllCallback {

  public static final LocalDate TODAY = LocalDate.parse("2027-03-15");

  /** What a password takes on purpose would be a good part of what the tests take. */
  private static final PasswordEncoder QUICK_TO_CHECK = new BCryptPasswordEncoder(4);

  /** Where Spring Boot looks for what reads its classes. */
  private static final String CLASSES =
      "org.springframework.boot.autoconfigure.internalCachingMetadataReaderFactory";

  private static final int MOST_CLASSES = 10_000;

  private static final Map<Resource, MetadataReader> FOUND = new ConcurrentHashMap<>();

  /** All of them would be a fifth of what the tests of pages take. */
  private static final int FEW_TRIALS = 100;

  /** Of the first server of this process: templates that are read once need not be read again. */
  private static Optional<ISpringTemplateEngine> templates = Optional.empty();

  private final Content content;
  private Optional<Path> folder = Optional.empty();
  private Optional<Path> original = Optional.empty();
  private Optional<ConfigurableApplicationContext> application = Optional.empty();

  /** What the store holds when the server starts. */
  private enum Content {
    DEMO,
    NOTHING
  }

  private final Map<String, Object> further;
  private final Map<String, CookieManager> sessions = new ConcurrentHashMap<>();

  private LonjaServer(Content content, Map<String, Object> further) {
    this.content = content;
    this.further = further;
  }

  public static LonjaServer withDemo() {
    return withDemo(Map.of());
  }

  /**
   * With the demo for classes of tests that write nothing: one for all of them. A class that does
   * write fails.
   */
  public static LonjaServer forReading() {
    return Reading.SERVER;
  }

  /** Started by the first class that asks for it, and stopped with the process. */
  private static final class Reading {
    private static final LonjaServer SERVER = new LonjaServer(Content.DEMO, Map.of());
    private static Optional<Integer> requests = Optional.empty();

    private Reading() {}

    private static void start() throws IOException {
      if (requests.isEmpty()) {
        SERVER.start();
        Runtime.getRuntime().addShutdownHook(new Thread(SERVER::stop));
        requests = Optional.of(SERVER.requests());
      }
    }
  }

  /** The same with further settings, as the command line gives them. */
  public static LonjaServer withDemo(Map<String, Object> further) {
    return new LonjaServer(Content.DEMO, further);
  }

  /** A store nobody has set up yet. */
  public static LonjaServer empty() {
    return empty(Map.of());
  }

  /** The same with further settings. */
  public static LonjaServer empty(Map<String, Object> further) {
    return new LonjaServer(Content.NOTHING, further);
  }

  /** On a copy of this store. */
  public static LonjaServer on(Path database) {
    LonjaServer server = empty();
    server.original = Optional.of(database);
    return server;
  }

  @Override
  public void beforeAll(ExtensionContext context) throws IOException {
    if (this == Reading.SERVER) {
      Reading.start();
    } else {
      start();
    }
  }

  @Override
  public void afterAll(ExtensionContext context) {
    if (this == Reading.SERVER) {
      assertThat(Reading.requests)
          .as("requests; a class of tests that writes has a server of its own")
          .contains(requests());
    } else {
      stop();
    }
  }

  /** Requests that were carried out. */
  private int requests() {
    try (Connection look = DriverManager.getConnection("jdbc:sqlite:" + store().file());
        Statement count = look.createStatement();
        ResultSet rows = count.executeQuery("SELECT count(*) FROM request")) {
      rows.next();
      return rows.getInt(1);
    } catch (SQLException e) {
      throw new IllegalStateException(e);
    }
  }

  /** Starts it outside of a class of tests. */
  public void start() throws IOException {
    Path data = Files.createTempDirectory("lonja-test");
    folder = Optional.of(data);
    if (content == Content.DEMO) {
      Files.copy(Demo.DATABASE, data.resolve(LonjaApplication.DATABASE));
    }
    if (original.isPresent()) {
      Files.copy(original.get(), data.resolve(LonjaApplication.DATABASE));
    }
    Map<String, Object> settings = new HashMap<>(further);
    settings.put("lonja.data", data.toString());
    settings.put("server.port", "0");
    settings.put("lonja.today", TODAY.toString());
    settings.putIfAbsent("lonja.trials", FEW_TRIALS);
    // nobody is asking any more when it is stopped
    settings.putIfAbsent("server.shutdown", "immediate");
    SpringApplicationBuilder server =
        new SpringApplicationBuilder(LonjaApplication.class)
            .initializers(
                starting -> {
                  ConfigurableListableBeanFactory beans = starting.getBeanFactory();
                  beans.registerSingleton("passwordEncoder", QUICK_TO_CHECK);
                  ((BeanDefinitionRegistry) beans).registerBeanDefinition(CLASSES, classes());
                  knowClasses((GenericApplicationContext) starting);
                  templates.ifPresent(known -> beans.registerSingleton("templateEngine", known));
                });
    application =
        Optional.of(
            (content == Content.DEMO ? server.profiles("bench") : server)
                .run(Settings.words(settings)));
    templates = Optional.of(running().getBean(ISpringTemplateEngine.class));
  }

  /** Each server would have it forget. */
  private static final class KnownClasses extends CachingMetadataReaderFactory {
    static final KnownClasses AT_HAND = new KnownClasses();

    private KnownClasses() {
      setCacheLimit(MOST_CLASSES);
    }

    @Override
    public void clearCache() {}
  }

  /** The same for those that are looked for by their place, which the context itself keeps. */
  private static void knowClasses(GenericApplicationContext starting) {
    starting.getResourceCache(MetadataReader.class).putAll(FOUND);
    starting.addBeanFactoryPostProcessor(
        beans -> FOUND.putAll(starting.getResourceCache(MetadataReader.class)));
  }

  /** What the classes say of themselves, read once for all servers of this process. */
  private static BeanDefinition classes() {
    return BeanDefinitionBuilder.rootBeanDefinition(
            CachingMetadataReaderFactory.class, () -> KnownClasses.AT_HAND)
        .getBeanDefinition();
  }

  /** Stops it, and its folder is gone. */
  public void stop() {
    application.ifPresent(ConfigurableApplicationContext::close);
    // the class of tests holds this to the end of the process
    application = Optional.empty();
    sessions.clear();
    folder.ifPresent(LonjaServer::delete);
  }

  public String url() {
    return "http://localhost:" + running().getEnvironment().getProperty("local.server.port");
  }

  /** The store behind the pages, to look at or to prepare. */
  public LonjaStore store() {
    return running().getBean(LonjaStore.class);
  }

  public <T> T bean(Class<T> type) {
    return running().getBean(type);
  }

  /** Waits until the trials of the forecast show all that is written. */
  public void waitForTrials() {
    Trials trials = bean(Trials.class);
    Wait.until("the trials are drawn", () -> !trials.drawn().isRunning());
  }

  /** The running application itself. */
  public ConfigurableApplicationContext context() {
    return running();
  }

  /** What a desk answers to someone of a role, asked without a browser. */
  public <T> T as(String role, Supplier<T> question) {
    SecurityContextHolder.getContext()
        .setAuthentication(
            UsernamePasswordAuthenticationToken.authenticated(
                role.toLowerCase(Locale.ROOT),
                "",
                List.of(new SimpleGrantedAuthority("ROLE_" + role))));
    try {
      return question.get();
    } finally {
      SecurityContextHolder.clearContext();
    }
  }

  /**
   * Someone who is signed in to the demo. The tests of a class share one session a person, since a
   * password takes its time on purpose.
   */
  public Visitor signedInAs(String name) {
    return new Visitor(url(), sessions.computeIfAbsent(name, n -> newlySignedInAs(n).cookies()));
  }

  /** The same with a session of their own, for tests that are about sessions. */
  public Visitor newlySignedInAs(String name) {
    Visitor visitor = stranger();
    visitor.signIn(name, DemoStore.PASSWORD);
    return visitor;
  }

  public Visitor stranger() {
    return new Visitor(url());
  }

  /** The id of the only item of this number. */
  public ItemId itemId(String number) {
    return store()
        .<ItemId>read(
            session -> session.items().byKey(PartKey.of(number).orElseThrow()).get(0).id());
  }

  /** The number of the person of this name. */
  public PersonId personId(String name) {
    return store().<PersonId>read(session -> session.people().byName(name).orElseThrow().id());
  }

  public Quantity onHand(String number) {
    return store().<Quantity>read(s -> s.ledger().stockOf(itemId(number)).onHand());
  }

  /** The ledger and everything else agree. */
  public boolean isSound() {
    return store().<Boolean>read(session -> session.verification().findings().isEmpty());
  }

  private ConfigurableApplicationContext running() {
    return application.orElseThrow();
  }

  private static void delete(Path folder) {
    try (var files = Files.walk(folder)) {
      for (Path file : files.sorted(Comparator.reverseOrder()).toList()) {
        Files.delete(file);
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** The demo store, made once for all tests: the processes of one run of Maven share it. */
  public static final class Demo {

    public static final Path DATABASE = create();

    private Demo() {}

    private static Path create() {
      try {
        Optional<String> run = Optional.ofNullable(System.getProperty("lonja.run"));
        if (run.isEmpty()) {
          Path folder = Files.createTempDirectory("lonja-demo");
          Runtime.getRuntime().addShutdownHook(new Thread(() -> delete(folder)));
          return create(folder.resolve("demo.db"));
        }
        Path folder =
            Files.createDirectories(
                Path.of("target", "demo", run.get().replaceAll("[^0-9A-Za-z]", "-")));
        try (FileChannel channel =
                FileChannel.open(
                    folder.resolve("lock"), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
            FileLock lock = channel.lock()) {
          Path copy = folder.resolve("demo.db").toAbsolutePath();
          return lock.isValid() && Files.exists(copy) ? copy : create(copy);
        }
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }

    private static Path create(Path copy) throws IOException {
      Path working = Files.createTempDirectory("lonja-demo").resolve("working.db");
      try (LonjaStore store = LonjaStore.open(working)) {
        DemoStore.create(store, TODAY, QUICK_TO_CHECK);
        // so that no server has to work out again what its readings come to
        store.<FleetPicture>read(session -> FleetPicture.load(session, TODAY));
        store.keepDigests();
        store.backUpTo(copy);
      }
      delete(working.getParent());
      return copy;
    }
  }

  /** A copy of the shipped example in {@code folder}, closed. */
  public static void putExample(Path folder) {
    Path example = Path.of("..", "examples", "boatyard-cage");
    if (!StoreFiles.load(example, folder.resolve(LonjaApplication.DATABASE), false, session -> {})
        .isEmpty()) {
      throw new IllegalStateException("the example is broken");
    }
  }
}
