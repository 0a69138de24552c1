<?php

declare(strict_types=1);

namespace PocketPlot\Sheet;

/** What a column of somebody's spreadsheet holds. */
enum Column: string
{
    case Name = 'name';
    case Role = 'role';
    case Quantity = 'quantity';
    /** Of one piece, or of one packet. */
    case Price = 'price';
    /** Of the whole row. */
    case Total = 'total';
    case Currency = 'currency';
    case Vendor = 'vendor';
    case Maker = 'maker';
    case Link = 'link';
    case Origin = 'origin';
    case State = 'state';
    case Note = 'note';
    /** Anything that says something of the part itself: read as a text. */
    case Figure = 'figure';
    case Ignored = 'ignored';
}
