<?php

declare(strict_types=1);

namespace Lokum\Edition;

/** A term as an edition carries it. */
final readonly class TermLine
{
    /**
     * @param  int  $id  of the value; the same from edition to edition
     * @param  string  $attribute  slug
     * @param  string  $look  anything that is equal exactly when the looks are
     * @param  int  $products  distinct products that carry it, in the whole shop
     * @param  list<string>  $holds  of an umbrella, the labels of its values in a fixed order
     */
    public function __construct(
        public int $id,
        public string $attribute,
        public string $label,
        public string $slug,
        public string $look,
        public int $products,
        public array $holds = [],
    ) {
    }

    /** The same of an attribute by another slug. */
    public function of(string $attribute): self
    {
        return new self($this->id, $attribute, $this->label, $this->slug, $this->look, $this->products, $this->holds);
    }
}
