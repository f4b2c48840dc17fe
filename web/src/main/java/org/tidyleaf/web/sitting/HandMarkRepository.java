package org.tidyleaf.web.sitting;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface HandMarkRepository extends JpaRepository<HandMarkEntity, Long> {
    List<HandMarkEntity> findByScriptIdOrderById(UUID scriptId);

    @Query("select m from HandMarkEntity m where m.scriptId in"
            + " (select s.id from ScriptEntity s where s.sittingId = :sittingId) order by m.id")
    List<HandMarkEntity> ofSitting(UUID sittingId);
}
