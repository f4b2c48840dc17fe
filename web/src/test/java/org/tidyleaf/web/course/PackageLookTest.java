package org.tidyleaf.web.course;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.tidyleaf.exchange.Outlet;
import org.tidyleaf.exchange.Paper;
import org.tidyleaf.exchange.QtiPackage;
import org.tidyleaf.exchange.StarterDocument;
import org.tidyleaf.intake.Intake;
import org.tidyleaf.intake.IntakeException;
import org.tidyleaf.marking.Marker;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.reading.Pins;
import org.tidyleaf.reading.Reader;
import org.tidyleaf.source.Source;

/** What leaves in three standards, looked at by the simulated course's own parser. */
class PackageLookTest {

    private static Source source() throws IOException, IntakeException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        StarterDocument.write(Paper.DOCX, out);
        return new Intake().read("starter.docx", out.toByteArray());
    }

    @ParameterizedTest
    @EnumSource(
            value = Outlet.class,
            names = {"QTI3", "QTI21", "CARTRIDGE"})
    void aPackageOfEveryTypeArrivesWhole(Outlet outlet) throws IOException, IntakeException {
        Source source = source();
        Quiz quiz = new Reader().read(source, Pins.NONE).quiz();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        outlet.write(
                quiz,
                id -> source.figures().stream()
                        .filter(figure -> figure.id().equals(id))
                        .findFirst(),
                out);
        PackageLook look = PackageLook.of(out.toByteArray());
        assertThat(look.faults()).isEmpty();
        assertThat(look.title()).isEqualTo(quiz.title());
        assertThat(look.pictures()).isEqualTo(1);
        assertThat(look.points())
                .isEqualByComparingTo(
                        quiz.questions().stream().map(Marker::most).reduce(BigDecimal.ZERO, BigDecimal::add));
        int items = look.items().values().stream().mapToInt(i -> i).sum();
        assertThat(items).isGreaterThanOrEqualTo(quiz.questions().size());
    }

    @Test
    void aPoolSaysWhatItDraws() throws IOException, IntakeException {
        Source source = new Intake()
                .read(
                        "frames.txt",
                        "Frames\nPart A: Brood\n1. Who lays?\nA. drones\nB. queens\n2. Who feeds?\nA. workers\nB. drones\n"
                                .getBytes(StandardCharsets.UTF_8));
        Quiz quiz = new Reader().read(source, Pins.NONE).quiz();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        QtiPackage.writePool(quiz, 1, id -> Optional.empty(), out);
        PackageLook look = PackageLook.of(out.toByteArray());
        assertThat(look.faults()).isEmpty();
        assertThat(look.draws()).hasSize(1).first().asString().contains("Brood").endsWith(": 1 of 2");
        assertThat(look.items()).containsEntry("choice", 2);
    }

    @Test
    void whatIsWrongIsSaid() throws IOException {
        assertThatThrownBy(() -> PackageLook.of(zip("a.txt", "x"))).hasMessageContaining("imsmanifest.xml");
        PackageLook look = PackageLook.of(zip(
                "imsmanifest.xml",
                "<manifest><resources><resource><file href='items/q1.xml'/></resource></resources></manifest>"));
        assertThat(look.faults()).containsExactly("items/q1.xml is named in the manifest but missing");
        assertThat(PackageLook.of(zip("imsmanifest.xml", "<manifest")).faults())
                .containsExactly("imsmanifest.xml is no well-formed XML");
        assertThat(Optional.of(PackageLook.of(zip(
                                "imsmanifest.xml", "<!DOCTYPE m [<!ENTITY e SYSTEM 'file:///etc/passwd'>]><m>&e;</m>")))
                        .map(PackageLook::title))
                .contains("");
    }

    private static byte[] zip(String name, String text) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            zip.putNextEntry(new ZipEntry(name));
            zip.write(text.getBytes(StandardCharsets.UTF_8));
            zip.closeEntry();
        }
        return out.toByteArray();
    }
}
