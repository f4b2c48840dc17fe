package org.tidyleaf.web.account;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletRequest;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.HeadersConfigurer;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.header.writers.ContentSecurityPolicyHeaderWriter;
import org.springframework.security.web.header.writers.DelegatingRequestMatcherHeaderWriter;
import org.springframework.security.web.header.writers.frameoptions.XFrameOptionsHeaderWriter;
import org.springframework.security.web.header.writers.frameoptions.XFrameOptionsHeaderWriter.XFrameOptionsMode;
import org.springframework.security.web.util.matcher.RequestMatcher;

/** What is open to everybody, and the headers that keep pages to themselves. */
@Configuration
class SecurityConfiguration {

    private static final String CONTENT_POLICY = "default-src 'self'; img-src 'self' data:; object-src 'none';"
            + " base-uri 'none'; form-action 'self'; frame-ancestors ";

    /** Programs send here, with a token of their own. */
    private static final String[] SIMULATED = {"/simulated-course/packages", "/simulated-writing/drafts"};

    @Bean
    PasswordEncoder passwordEncoder() {
        return PasswordEncoderFactories.createDelegatingPasswordEncoder();
    }

    @Bean
    SecurityFilterChain pages(HttpSecurity http) throws Exception {
        http.authorizeHttpRequests(requests -> requests.dispatcherTypeMatchers(
                                DispatcherType.FORWARD, DispatcherType.ERROR)
                        .permitAll()
                        .requestMatchers(
                                "/sign-in", "/first-account", "/s/**", "/join/*", "/actuator/health", "/favicon.svg")
                        .permitAll()
                        .requestMatchers("/favicon.ico", "/css/**", "/js/**", "/fonts/**", "/webjars/**")
                        .permitAll()
                        .requestMatchers(HttpMethod.POST, SIMULATED)
                        .permitAll()
                        .anyRequest()
                        .authenticated())
                // The token is kept in a cookie, so that candidates need no session, which each of their requests would
                // read and write. Programs come with a token of their own.
                .csrf(csrf -> csrf.csrfTokenRepository(new CookieCsrfTokenRepository())
                        .ignoringRequestMatchers(SIMULATED))
                .formLogin(form ->
                        form.loginPage("/sign-in").defaultSuccessUrl("/", false).permitAll())
                .logout(out -> out.logoutUrl("/sign-out").logoutSuccessUrl("/sign-in?out"))
                .headers(headers -> {
                    headers.frameOptions(frames -> frames.disable());
                    framing(headers, SecurityConfiguration::isFramedProof, "'self'", XFrameOptionsMode.SAMEORIGIN);
                    framing(headers, request -> !isFramedProof(request), "'none'", XFrameOptionsMode.DENY);
                });
        return http.build();
    }

    /** The proof shows a page as on a phone in a frame of its own; nothing else may stand in a frame. */
    private static boolean isFramedProof(HttpServletRequest request) {
        return request.getServletPath().matches("/leaf/[0-9a-f-]{36}/proof") && request.getParameter("frame") != null;
    }

    private static void framing(
            HeadersConfigurer<HttpSecurity> headers, RequestMatcher pages, String ancestors, XFrameOptionsMode mode) {
        headers.addHeaderWriter(new DelegatingRequestMatcherHeaderWriter(
                        pages, new ContentSecurityPolicyHeaderWriter(CONTENT_POLICY + ancestors)))
                .addHeaderWriter(new DelegatingRequestMatcherHeaderWriter(pages, new XFrameOptionsHeaderWriter(mode)));
    }
}
