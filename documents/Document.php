<?php

declare(strict_types=1);

namespace Documents;

/**
 * A shape that goes over the wire: typed, readonly, rounded and thinned, made from what core/ worked out. The API and the command line
 * write the same documents, and the OpenAPI document is inferred from their types. Names of properties become names in JSON: `holdFromS` is
 * "hold_from_s". Facts are said when a document is written (Wire).
 */
interface Document
{
}
