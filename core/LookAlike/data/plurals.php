<?php

declare(strict_types=1);

/* Plurals that mean something else than their singular (common practice, no source). */
return ['glasses', 'goods', 'arms', 'jeans', 'shorts', 'flats', 'tights', 'briefs', 'slacks', 'boxers', 'customs', 'spirits', 'blues', 'greens', 'browns', 'woods', 'waters', 'works', 'pumps', 'sweats', 'grounds', 'means', 'news', 'dominoes', 'dungarees', 'overalls', 'leathers', 'woolens', 'linens', 'darts', 'drawers', 'trunks', 'spectacles'];
