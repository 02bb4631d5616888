<?php

declare(strict_types=1);

/* Words that stand against each other: a value with the one is never a value with the other (common practice, no source). */
return [
    ['light', 'dark', 'medium', 'deep', 'pale', 'bright', 'mid'], ['warm', 'cool', 'cold', 'hot'], ['matte', 'gloss', 'satin', 'semigloss', 'eggshell'], ['raw', 'burnt', 'roasted', 'cooked'], ['left', 'right', 'both'], ['inner', 'outer'], ['inside', 'outside'], ['indoor', 'outdoor'], ['soft', 'hard', 'firm'],
    ['small', 'medium', 'large', 'xs', 's', 'm', 'l', 'xl', 'xxl', 'mini', 'maxi'], ['short', 'long', 'tall', 'petite'], ['thin', 'thick', 'fine', 'coarse', 'extra'], ['narrow', 'wide', 'regular'], ['high', 'low'], ['upper', 'lower'], ['top', 'bottom', 'middle'], ['front', 'back', 'rear', 'side'], ['male', 'female', 'unisex'],
    ['men', 'women', 'boys', 'girls', 'kids', 'adult'], ['man', 'woman', 'boy', 'girl'], ['single', 'double', 'triple'], ['wet', 'dry'], ['full', 'half', 'quarter'], ['open', 'closed'], ['natural', 'synthetic', 'artificial'], ['old', 'new'], ['heavy', 'light'], ['rough', 'smooth'], ['round', 'flat', 'square', 'oval'], ['solid', 'liquid', 'hollow'],
    ['opaque', 'transparent', 'translucent'], ['analog', 'digital'], ['manual', 'automatic', 'electric'], ['wired', 'wireless'], ['sweet', 'sour', 'salted', 'unsalted', 'bitter'], ['day', 'night'], ['summer', 'winter', 'spring', 'autumn', 'fall'], ['black', 'white', 'gray', 'red', 'green', 'blue', 'yellow', 'orange', 'purple', 'pink', 'brown', 'violet', 'beige'],
    ['gold', 'silver', 'bronze', 'copper'], ['positive', 'negative'], ['in', 'out'], ['on', 'off'], ['up', 'down'], ['yes', 'no'], ['minimum', 'maximum'], ['north', 'south', 'east', 'west'], ['caffeinated', 'decaffeinated'], ['permanent', 'temporary'], ['internal', 'external'], ['import', 'export'], ['bleached', 'unbleached'], ['plain', 'patterned'],
];
