package org.tidyleaf.web.account;

import jakarta.servlet.DispatcherType;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;

/** What is open to everybody, and the headers that keep pages to themselves. */
@Configuration
class SecurityConfiguration {

    private static final String CONTENT_POLICY = "default-src 'self'; img-src 'self' data:; object-src 'none';"
            + " base-uri 'none'; frame-ancestors 'none'; form-action 'self'";

    private static final String SIMULATED_PACKAGES = "/simulated-course/packages";

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
                        .requestMatchers(HttpMethod.POST, SIMULATED_PACKAGES)
                        .permitAll()
                        .anyRequest()
                        .authenticated())
                // Programs come with a token of their own and without a session.
                .csrf(csrf -> csrf.ignoringRequestMatchers(SIMULATED_PACKAGES))
                .formLogin(form ->
                        form.loginPage("/sign-in").defaultSuccessUrl("/", false).permitAll())
                .logout(out -> out.logoutUrl("/sign-out").logoutSuccessUrl("/sign-in?out"))
                .headers(headers -> headers.contentSecurityPolicy(csp -> csp.policyDirectives(CONTENT_POLICY)));
        return http.build();
    }
}
