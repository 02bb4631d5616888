-- Counts of an edition in PostgreSQL, as its pages have them: what is picked has to meet on one and the same variant; for "any" and
-- for a single choice a filter's own picks are set aside, for "all" they are kept.

CREATE FUNCTION matching(
    category text,
    picks jsonb,
    combine jsonb,
    ranges jsonb,
    but text
) RETURNS SETOF integer LANGUAGE sql STABLE AS $$
    SELECT v.id FROM variant v
    WHERE ($1 IS NULL OR EXISTS (
        SELECT 1 FROM listing l JOIN category c ON c.id = l.category_id WHERE c.slug = $1 AND l.product_id = v.product_id
    ))
    AND NOT EXISTS (
        SELECT 1 FROM jsonb_each($2) p WHERE p.key <> $5 AND (
            SELECT count(*) FROM carried k JOIN term t ON t.id = k.term_id JOIN attribute a ON a.id = t.attribute_id
            WHERE k.variant_id = v.id AND a.slug = p.key AND p.value ? t.slug
        ) < CASE WHEN $3 ->> p.key = 'all' THEN jsonb_array_length(p.value) ELSE 1 END
    )
    AND NOT EXISTS (
        SELECT 1 FROM jsonb_each($4) r WHERE NOT EXISTS (
            SELECT 1 FROM number n WHERE n.variant_id = v.id AND n.field = r.key
            AND (r.value ->> 0 IS NULL OR n.number >= (r.value ->> 0)::double precision)
            AND (r.value ->> 1 IS NULL OR n.number <= (r.value ->> 1)::double precision)
        )
    )
$$;

-- Products that match: products('paint', '{"color": ["red", "blue"]}', '{"color": "any"}', '{"price": [5, 10]}')
CREATE FUNCTION products(
    category text DEFAULT NULL,
    picks jsonb DEFAULT '{}',
    combine jsonb DEFAULT '{}',
    ranges jsonb DEFAULT '{}'
) RETURNS SETOF product LANGUAGE sql STABLE AS $$
    SELECT p.* FROM product p WHERE p.id IN (SELECT v.product_id FROM matching($1, $2, $3, $4, '') m JOIN variant v ON v.id = m)
$$;

-- The count beside each term that some product would be left with.
CREATE FUNCTION counts(
    category text DEFAULT NULL,
    picks jsonb DEFAULT '{}',
    combine jsonb DEFAULT '{}',
    ranges jsonb DEFAULT '{}'
) RETURNS TABLE (attribute text, term text, products bigint) LANGUAGE sql STABLE AS $$
    SELECT a.slug, t.slug, count(DISTINCT v.product_id)
    FROM attribute a
    CROSS JOIN LATERAL matching($1, $2, $3, $4, CASE WHEN $2 ? a.slug AND $3 ->> a.slug IS DISTINCT FROM 'all' THEN a.slug ELSE '' END) m
    JOIN variant v ON v.id = m
    JOIN carried k ON k.variant_id = v.id
    JOIN term t ON t.id = k.term_id AND t.attribute_id = a.id
    GROUP BY a.slug, t.slug
$$;
