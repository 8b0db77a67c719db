package org.unrulymarble.server.account;

import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.csrf.CsrfException;
import org.unrulymarble.server.platform.ProblemWriter;
import org.unrulymarble.server.tls.Https;

@Configuration
class SecurityConfig {

    private static final String CONTENT_POLICY = "default-src 'self'; style-src 'self' 'unsafe-inline'; "
            + "img-src 'self' data:; object-src 'none'; base-uri 'self'; form-action 'self'; frame-ancestors 'none'";

    @Bean
    SecurityFilterChain chain(
            HttpSecurity http, SecurityContextRepository contexts, ProblemWriter problems, Https https)
            throws Exception {
        return http.csrf(csrf -> csrf.spa())
                .securityContext(c -> c.securityContextRepository(contexts))
                .authorizeHttpRequests(requests -> requests.requestMatchers(
                                "/api/session",
                                "/api/session/join",
                                "/api/setup",
                                "/api/wall/**",
                                "/api/trust/**",
                                "/api/devices")
                        .permitAll()
                        .requestMatchers(HttpMethod.GET, "/actuator/health/**")
                        .permitAll()
                        .requestMatchers("/api/audit/**", "/api/backups/**")
                        .hasRole(Role.ADMINISTRATOR.name())
                        .requestMatchers("/api/**", "/actuator/**")
                        .authenticated()
                        .anyRequest()
                        .permitAll())
                .exceptionHandling(errors -> errors.authenticationEntryPoint((request, response, e) ->
                                problems.write(response, HttpStatus.UNAUTHORIZED, "signed-out"))
                        .accessDeniedHandler((request, response, e) -> problems.write(
                                response, HttpStatus.FORBIDDEN, e instanceof CsrfException ? "csrf" : "forbidden")))
                .requestCache(cache -> cache.disable())
                .formLogin(form -> form.disable())
                .httpBasic(basic -> basic.disable())
                .logout(logout -> logout.disable())
                .headers(headers -> headers
                        // A device that once trusted the school's own certificate asks for nothing else; ours may be
                        // gone with the machine.
                        .httpStrictTransportSecurity(hsts -> {
                            if (!https.isSchools()) hsts.disable();
                        })
                        .contentSecurityPolicy(csp -> csp.policyDirectives(CONTENT_POLICY))
                        .referrerPolicy(referrer -> referrer.policy(
                                org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter
                                        .ReferrerPolicy.SAME_ORIGIN)))
                .build();
    }

    @Bean
    SecurityContextRepository contexts() {
        return new HttpSessionSecurityContextRepository();
    }

    @Bean
    PasswordEncoder passwordEncoder(@Value("${marble.hash-rounds-log2}") int strength) {
        return new BCryptPasswordEncoder(strength);
    }

    /** Signing in goes through {@link SessionController} alone; this keeps Spring from making a user of its own. */
    @Bean
    UserDetailsService noOtherUsers() {
        return name -> {
            throw new UsernameNotFoundException(name);
        };
    }
}
