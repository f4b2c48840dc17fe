package org.tidyleaf.web;

import java.util.Optional;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ExtensionContext.Namespace;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.jupiter.api.extension.ParameterResolver;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;

/**
 * Starts the real application once for all tests, on a free port and the database that {@code ./tidyleaf test} made, and
 * hands it to tests that ask for it as a parameter.
 */
public final class RunningApplication implements ParameterResolver {

    /** The application as tests see it. */
    public record Address(int port, ConfigurableApplicationContext context) {
        public String url(String path) {
            return "http://127.0.0.1:" + port + path;
        }

        public <T> T bean(Class<T> type) {
            return context.getBean(type);
        }
    }

    private record Started(Address address) implements ExtensionContext.Store.CloseableResource, AutoCloseable {
        @Override
        public void close() {
            address.context().close();
        }
    }

    @Override
    public boolean supportsParameter(ParameterContext parameter, ExtensionContext context) {
        return parameter.getParameter().getType() == Address.class;
    }

    @Override
    public Address resolveParameter(ParameterContext parameter, ExtensionContext context) {
        return context.getRoot()
                .getStore(Namespace.create(RunningApplication.class))
                .getOrComputeIfAbsent(Started.class, type -> start(), Started.class)
                .address();
    }

    private static Started start() {
        String database = Optional.ofNullable(System.getenv("TIDYLEAF_TEST_DATABASE"))
                .orElseThrow(
                        () -> new IllegalStateException("run the tests with ./tidyleaf test: it makes their database"));
        ConfigurableApplicationContext context = SpringApplication.run(
                Application.class,
                "--server.port=0",
                "--spring.datasource.url=" + database,
                "--spring.datasource.username=tidyleaf",
                "--spring.datasource.password=" + System.getenv("TIDYLEAF_TEST_PASSWORD"),
                "--spring.main.banner-mode=off",
                "--logging.level.root=warn");
        int port = Integer.parseInt(String.valueOf(context.getEnvironment().getProperty("local.server.port")));
        return new Started(new Address(port, context));
    }
}
