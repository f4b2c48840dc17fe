package org.tidyleaf.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.tidyleaf.intake.Intake;
import org.tidyleaf.intake.IntakeException;
import org.tidyleaf.source.Source;

/** A document that is read again and again with more pins, and fewer, is the same as one read afresh with those. */
class ReadAgainTest {

    private static final List<Role> ROLES =
            List.of(Role.STEM, Role.OPTION, Role.ASIDE, Role.KEY, Role.STIMULUS, Role.SECTION, Role.FEEDBACK);

    static List<Path> documents() throws IOException {
        return WholeDocumentsTest.documents();
    }

    @ParameterizedTest
    @MethodSource("documents")
    void pinsOneAfterTheOtherGiveWhatTheyGiveAtOnce(Path document) throws IOException, IntakeException {
        Source source = new Intake().read(document.getFileName().toString(), Files.readAllBytes(document));
        Random random = new Random(document.getFileName().toString().hashCode());
        Reader reader = new Reader();
        Survey survey = reader.survey(source);
        Map<Integer, Pins.Pin> pins = new HashMap<>();
        for (int round = 0; round < 8; round++) {
            int line = 1 + random.nextInt(source.lines().size());
            if (round % 4 == 3) {
                pins.remove(pins.keySet().iterator().next());
            } else {
                Role role = ROLES.get(random.nextInt(ROLES.size()));
                Pins.Pin pin = new Pins.Pin(role, line > 1 && random.nextInt(4) == 0);
                pins.put(line, round == 2 ? Pins.Pin.further(role) : pin);
            }
            Pins all = new Pins(pins);
            assertThat(reader.read(survey, all))
                    .as("round %s with %s", round, pins)
                    .isEqualTo(reader.read(source, all));
        }
    }
}
