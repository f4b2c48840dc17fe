package org.tidyleaf.web.page;

import java.time.Duration;
import java.util.Optional;
import java.util.Set;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.tidyleaf.source.Figure;

/** Pictures of documents as responses: only kinds that browsers show without running anything inside. */
public final class Pictures {

    private static final Set<String> SAFE = Set.of("image/png", "image/jpeg", "image/gif", "image/bmp");
    private static final Duration KEPT = Duration.ofHours(1);

    private Pictures() {}

    public static ResponseEntity<byte[]> response(Optional<Figure> figure) {
        return figure.filter(f -> SAFE.contains(f.mediaType()))
                .map(f -> ResponseEntity.ok()
                        .contentType(MediaType.parseMediaType(f.mediaType()))
                        .cacheControl(CacheControl.maxAge(KEPT).cachePrivate())
                        .body(f.bytes()))
                .orElseGet(() -> ResponseEntity.notFound().build());
    }
}
