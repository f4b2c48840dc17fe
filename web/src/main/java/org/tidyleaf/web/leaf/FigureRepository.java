package org.tidyleaf.web.leaf;

import org.springframework.data.jpa.repository.JpaRepository;

interface FigureRepository extends JpaRepository<FigureEntity, FigureEntity.Key> {}
