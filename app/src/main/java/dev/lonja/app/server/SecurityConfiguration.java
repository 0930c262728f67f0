package dev.lonja.app.server;

import dev.lonja.desk.person.FrontDoor;
import dev.lonja.web.request.BodyGate;
import dev.lonja.web.sign.DoorwaySource;
import dev.lonja.web.sign.FirstStartFilter;
import dev.lonja.web.sign.Refusals;
import dev.lonja.web.sign.SessionWatch;
import dev.lonja.web.sign.SignInHandlers;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;
import org.springframework.aop.Advisor;
import org.springframework.aop.ClassFilter;
import org.springframework.aop.Pointcut;
import org.springframework.aop.support.ComposablePointcut;
import org.springframework.aop.support.Pointcuts;
import org.springframework.aop.support.annotation.AnnotationMatchingPointcut;
import org.springframework.beans.factory.config.BeanDefinition;
import org.springframework.boot.autoconfigure.condition.ConditionalOnMissingBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Role;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.security.authentication.ProviderManager;
import org.springframework.security.authorization.method.AuthorizationInterceptorsOrder;
import org.springframework.security.authorization.method.AuthorizationManagerBeforeMethodInterceptor;
import org.springframework.security.authorization.method.PreAuthorizeAuthorizationManager;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.UsernamePasswordAuthenticationFilter;
import org.springframework.security.web.authentication.logout.HeaderWriterLogoutHandler;
import org.springframework.security.web.context.SecurityContextHolderFilter;
import org.springframework.security.web.csrf.CsrfFilter;
import org.springframework.security.web.header.writers.ClearSiteDataHeaderWriter;
import org.springframework.security.web.header.writers.ClearSiteDataHeaderWriter.Directive;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter;
import org.springframework.security.web.savedrequest.HttpSessionRequestCache;
import org.springframework.security.web.savedrequest.RequestCache;

/** Form sign-in, strict content policy, no page for strangers but those that lead in. */
@Configuration
class SecurityConfiguration {

  private static final String CONTENT_POLICY =
      "default-src 'self'; object-src 'none'; base-uri 'none'; form-action 'self'; "
          + "frame-ancestors 'none'";

  /**
   * Holds every call of a desk against its {@code Allowed}. Only desks carry it, so nothing else is
   * searched for it when the server starts.
   */
  @Bean
  @Role(BeanDefinition.ROLE_INFRASTRUCTURE)
  static Advisor allowedOnly() {
    Pointcut carriers =
        Pointcuts.union(
            new AnnotationMatchingPointcut(PreAuthorize.class, true),
            new AnnotationMatchingPointcut(null, PreAuthorize.class, true));
    ClassFilter desks = type -> type.getName().startsWith("dev.lonja.desk.");
    AuthorizationManagerBeforeMethodInterceptor guard =
        new AuthorizationManagerBeforeMethodInterceptor(
            new ComposablePointcut(desks).intersection(carriers),
            new PreAuthorizeAuthorizationManager());
    guard.setOrder(AuthorizationInterceptorsOrder.PRE_AUTHORIZE.getOrder());
    return guard;
  }

  /** Slow on purpose; where a context brings another, as the tests do, that one holds. */
  @Bean
  @ConditionalOnMissingBean
  PasswordEncoder passwordEncoder() {
    return new BCryptPasswordEncoder();
  }

  @Bean
  SecurityFilterChain pages(
      HttpSecurity http,
      FirstStartFilter firstStart,
      FrontDoor door,
      DoorwaySource doorways,
      SignInHandlers handlers,
      Refusals refusals,
      SessionWatch watch,
      BodyGate gate)
      throws Exception {
    return http.authenticationManager(new ProviderManager(door))
        .authorizeHttpRequests(
            requests ->
                requests
                    .requestMatchers(
                        "/assets/**",
                        "/sign-in",
                        "/sign-in/over",
                        "/first-start",
                        "/new-password",
                        "/error",
                        "/feeds/*")
                    .permitAll()
                    .anyRequest()
                    .authenticated())
        .formLogin(
            form ->
                form.loginPage("/sign-in")
                    .usernameParameter("name")
                    .passwordParameter("password")
                    .authenticationDetailsSource(doorways)
                    .successHandler(handlers)
                    .failureHandler(handlers))
        .logout(
            logout ->
                logout
                    .logoutUrl("/sign-out")
                    .addLogoutHandler(handlers)
                    .addLogoutHandler(
                        new HeaderWriterLogoutHandler(
                            new ClearSiteDataHeaderWriter(Directive.CACHE, Directive.STORAGE)))
                    .logoutSuccessUrl("/sign-in?left"))
        .requestCache(cache -> cache.requestCache(wantedPages()))
        .exceptionHandling(exceptions -> exceptions.accessDeniedHandler(refusals))
        .headers(
            headers ->
                headers
                    .contentSecurityPolicy(policy -> policy.policyDirectives(CONTENT_POLICY))
                    .referrerPolicy(
                        policy ->
                            policy.policy(ReferrerPolicyHeaderWriter.ReferrerPolicy.SAME_ORIGIN)))
        .addFilterBefore(firstStart, UsernamePasswordAuthenticationFilter.class)
        .addFilterAfter(watch, SecurityContextHolderFilter.class)
        .addFilterBefore(gate, CsrfFilter.class)
        .build();
  }

  /**
   * A sign-in leads to the page that was asked for before it, never to what a page or its worker
   * asks for by itself; nor does that begin a session, which would end the one that a sign-in page
   * has just begun.
   */
  private static RequestCache wantedPages() {
    HttpSessionRequestCache pages = new HttpSessionRequestCache();
    pages.setRequestMatcher(SecurityConfiguration::isPage);
    return pages;
  }

  private static boolean isPage(HttpServletRequest request) {
    return HttpMethod.GET.matches(request.getMethod())
        && Optional.ofNullable(request.getHeader(HttpHeaders.ACCEPT))
            .filter(accepted -> accepted.contains(MediaType.TEXT_HTML_VALUE))
            .isPresent();
  }
}
