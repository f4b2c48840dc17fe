package org.tidyleaf.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.EnumSet;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.tidyleaf.intake.Intake;
import org.tidyleaf.intake.IntakeException;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.QuestionType;
import org.tidyleaf.question.Settings;
import org.tidyleaf.reading.Pins;
import org.tidyleaf.reading.Reader;
import org.tidyleaf.reading.Reading;

class StarterDocumentTest {

    @ParameterizedTest
    @EnumSource(names = {"DOCX", "ODT"})
    void everyTypeReadsWithoutASnagAndNoRemarkIsAQuestion(Paper paper) throws IOException, IntakeException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        StarterDocument.write(paper, out);
        Reading reading =
                new Reader().read(new Intake().read("starter" + paper.ending(), out.toByteArray()), Pins.NONE);
        assertThat(reading.snags()).isEmpty();
        Set<QuestionType> types =
                reading.quiz().questions().stream().map(Question::type).collect(Collectors.toSet());
        assertThat(types).isEqualTo(EnumSet.allOf(QuestionType.class));
        assertThat(reading.quiz().questions())
                .hasSize(QuestionType.values().length)
                .allMatch(Question::isKeyed);
        // They stay with their question as notes for the author, where no candidate sees them.
        assertThat(reading.quiz().questions())
                .noneMatch(question -> question.withParticulars(
                                question.particulars().withSettings(Settings.NONE))
                        .toString()
                        .contains("Remark"));
    }
}
