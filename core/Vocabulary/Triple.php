<?php

declare(strict_types=1);

namespace Lokum\Vocabulary;

/** One statement of RDF about a named thing. */
final readonly class Triple
{
    /** What a thing is an instance of (RDF 1.1). */
    public const TYPE = 'http://www.w3.org/1999/02/22-rdf-syntax-ns#type';

    /**
     * @param  string  $object  IRI or text
     * @param  string|null  $language  BCP 47 tag of a text, in lower case
     */
    public function __construct(public string $subject, public string $property, public string $object, public ?string $language = null)
    {
    }
}
