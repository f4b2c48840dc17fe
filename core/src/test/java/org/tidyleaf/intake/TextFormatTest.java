package org.tidyleaf.intake;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.tidyleaf.source.Source;

class TextFormatTest {

    @ParameterizedTest
    @ValueSource(strings = {"UTF-8", "windows-1252", "UTF-16"})
    void theSameTextReadsTheSameInEveryEncoding(String encoding) throws IntakeException {
        byte[] bytes = "1. Wie gro\u00df ist eine Zelle?\r\n\r\n   A. 5 mm".getBytes(Charset.forName(encoding));
        Source source = new Intake().read("test.txt", bytes);
        assertThat(source.lines()).hasSize(2);
        assertThat(source.line(1).text()).isEqualTo("1. Wie gro\u00df ist eine Zelle?");
        assertThat(source.line(2).layout().spaceBefore()).isEqualTo(1);
        assertThat(source.line(2).layout().indent()).isEqualTo(360);
    }

    @Test
    void aByteOrderMarkIsNoText() throws IntakeException {
        assertThat(new Intake()
                        .read("t.txt", "\uFEFFTitle".getBytes(StandardCharsets.UTF_8))
                        .line(1)
                        .text())
                .isEqualTo("Title");
    }

    @Test
    void aPictureNamedAsTextIsRefused() {
        assertThatThrownBy(() -> new Intake().read("t.txt", new byte[] {(byte) 0x89, 'P', 'N', 'G', 0, 0}))
                .hasMessageContaining("not plain text");
    }
}
