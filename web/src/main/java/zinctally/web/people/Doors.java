package zinctally.web.people;

import java.time.Clock;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.security.config.annotation.method.configuration.EnableMethodSecurity;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.core.userdetails.User;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.intercept.AuthorizationFilter;
import org.springframework.security.web.authentication.AuthenticationFailureHandler;
import org.springframework.security.web.authentication.AuthenticationSuccessHandler;
import org.springframework.security.web.authentication.SavedRequestAwareAuthenticationSuccessHandler;
import org.springframework.security.web.authentication.UsernamePasswordAuthenticationFilter;
import org.springframework.security.web.context.SecurityContextHolderFilter;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.security.web.savedrequest.CookieRequestCache;
import zinctally.store.people.PeopleStore;
import zinctally.store.people.SignInTries;
import zinctally.web.shell.SameForAll;

/**
 * Who comes in. How far is said at each method that changes something; a reader changes nothing.
 */
@Configuration
@EnableMethodSecurity
class Doors {
  private static final String POLICY =
      "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self' data:;"
          + " font-src 'self'; connect-src 'self'; form-action 'self'; base-uri 'none';"
          + " frame-ancestors 'none'";

  @Bean
  SecurityFilterChain filterChain(
      HttpSecurity http,
      SignInTries tries,
      HalfIn halfIn,
      AuthenticationSuccessHandler welcome,
      Clock clock)
      throws Exception {
    return http.authorizeHttpRequests(
            ask ->
                ask.requestMatchers(
                        "/sign-in",
                        CodeController.PAGE,
                        SignInDoor.LED,
                        SignInController.FIRST_KEEPER,
                        "/first",
                        NewPasswordController.PAGE,
                        "/health",
                        "/error")
                    .permitAll()
                    .requestMatchers(SameForAll.FILES)
                    .permitAll()
                    .requestMatchers("/metrics")
                    .hasRole("OWNER")
                    .requestMatchers(HttpMethod.GET)
                    .authenticated()
                    .requestMatchers(HttpMethod.HEAD)
                    .authenticated()
                    .requestMatchers(HttpMethod.POST, "/me/**")
                    .authenticated()
                    .requestMatchers(HttpMethod.POST)
                    .hasAnyRole("OWNER", "BOOKKEEPER", "COUNTER")
                    .anyRequest()
                    .denyAll())
        .formLogin(
            form ->
                form.loginPage(SignInDoor.PAGE)
                    .successHandler(halfIn.then(welcome))
                    .failureHandler(refused(tries)))
        .addFilterBefore(new SignInDoor(tries), UsernamePasswordAuthenticationFilter.class)
        .addFilterAfter(new StepDemanded(), AuthorizationFilter.class)
        .addFilterBefore(new SessionLife(clock), SecurityContextHolderFilter.class)
        .csrf(csrf -> csrf.csrfTokenRepository(tokens()))
        .requestCache(cache -> cache.requestCache(remembering()))
        .logout(out -> out.logoutUrl("/sign-out").logoutSuccessUrl("/sign-in?out"))
        .headers(
            headers ->
                headers
                    .contentSecurityPolicy(csp -> csp.policyDirectives(POLICY))
                    .httpStrictTransportSecurity(hsts -> hsts.includeSubDomains(false))
                    .referrerPolicy(r -> r.policy(ReferrerPolicy.SAME_ORIGIN))
                    .permissionsPolicyHeader(
                        p -> p.policy("camera=(), microphone=(), geolocation=()")))
        .build();
  }

  /** Says that it was wrong, and keeps nothing of what was typed. */
  private static AuthenticationFailureHandler refused(SignInTries tries) {
    return (request, response, why) -> {
      tries.wrong(SignInDoor.name(request), request.getRemoteAddr());
      response.sendRedirect(request.getContextPath() + SignInDoor.PAGE + "?wrong");
    };
  }

  @Bean
  AuthenticationSuccessHandler welcome(SignInTries tries) {
    SavedRequestAwareAuthenticationSuccessHandler goesOn =
        new SavedRequestAwareAuthenticationSuccessHandler();
    goesOn.setRequestCache(remembering());
    return (request, response, who) -> {
      tries.right(who.getName(), request.getRemoteAddr());
      goesOn.onAuthenticationSuccess(request, response, who);
    };
  }

  /**
   * After signing in she goes on to the page she asked for, not to what a page asked for itself.
   */
  private static CookieRequestCache remembering() {
    CookieRequestCache cache = new CookieRequestCache();
    cache.setRequestMatcher(
        request ->
            HttpMethod.GET.matches(request.getMethod())
                && request.getHeader("HX-Request") == null
                && String.valueOf(request.getHeader("Accept")).contains("text/html"));
    return cache;
  }

  /** Kept by the browser, so that who has not signed in leaves nothing in the database. */
  private static CookieCsrfTokenRepository tokens() {
    CookieCsrfTokenRepository tokens = new CookieCsrfTokenRepository();
    tokens.setCookieName("zinc-form");
    tokens.setHeaderName("X-CSRF-TOKEN"); // as the scripts send it
    tokens.setCookieCustomizer(cookie -> cookie.sameSite("Strict"));
    return tokens;
  }

  @Bean
  PasswordEncoder hashing() {
    return PasswordEncoderFactories.createDelegatingPasswordEncoder();
  }

  @Bean
  UserDetailsService signIns(PeopleStore people) {
    return login ->
        people
            .find(login)
            .map(
                p ->
                    User.withUsername(p.login())
                        .password(p.password())
                        .roles(p.role().name())
                        .disabled(!p.active())
                        .build())
            .orElseThrow(() -> new UsernameNotFoundException(login));
  }
}
