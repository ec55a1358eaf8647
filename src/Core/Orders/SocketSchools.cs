using FaithfulBracket.Core.Words.Orders;
using static FaithfulBracket.Core.Orders.Schools;

namespace FaithfulBracket.Core.Orders;

/// <summary>Where installers disagree on sockets and bare dies.</summary>
internal static class SocketSchools
{
    public static readonly School[] Socket =
    [
        new(
            "processor-clamp",
            Station.Prep,
            "Processor and clamp",
            "processor-first",
            [
                Way(
                    "processor-first",
                    SocketSchoolsWords.ProcessorInFirstUnderCover,
                    SocketSchoolsWords.CoverKeepsToolsOffContacts,
                    w => w with { Clamp = ProcessorAndClamp.ProcessorFirst }
                ),
                Way(
                    "clamp-off",
                    "clamp off first",
                    SocketSchoolsWords.NothingIsInWayOfPackage,
                    w => w with { Clamp = ProcessorAndClamp.ClampOff }
                ),
            ]
        ),
        new(
            "nuts-by",
            Station.Mount,
            SocketSchoolsWords.NutsByThumbOrByDriver,
            "thumb",
            [
                Way("thumb", "by thumb", SocketSchoolsWords.HandFeelsStop, w => w with { NutsBy = NutsBy.Thumb }),
                Way(
                    "two-thumbs",
                    SocketSchoolsWords.TwoOppositeAtOnce,
                    SocketSchoolsWords.BlockStaysLevelAndGoesDown,
                    w => w with { NutsBy = NutsBy.TwoThumbs }
                ),
                Way(
                    "driver",
                    "by driver",
                    SocketSchoolsWords.EqualTurnsAreEasierToCount,
                    w => w with { NutsBy = NutsBy.Driver }
                ),
            ]
        ),
        new(
            "closing",
            Station.Mount,
            SocketSchoolsWords.WhatJobEnds,
            "block",
            [
                Way(
                    "block",
                    SocketSchoolsWords.BlockOnBoard,
                    SocketSchoolsWords.WhoeverBuildsMachinePutsBoard,
                    w => w with { Closing = Closing.Block }
                ),
                Way(
                    "tray",
                    SocketSchoolsWords.BoardOnTrayMemory,
                    SocketSchoolsWords.BoardIsHandledOnceMoreWhile,
                    w => w with { Closing = Closing.Tray }
                ),
            ]
        ),
    ];

    public static readonly School[] BareDie =
    [
        new(
            "warm-lid",
            Station.Prep,
            "Warming a soldered lid",
            "warm",
            [
                Way(
                    "warm",
                    SocketSchoolsWords.WarmItRight,
                    SocketSchoolsWords.WarmSolderShearsWithLessForce,
                    w => w with { WarmLid = WarmLid.Warm }
                ),
                Way("cold", "cold", SocketSchoolsWords.GoodJigShearsItCold, w => w with { WarmLid = WarmLid.Cold }),
            ]
        ),
        new(
            "polish",
            Station.Prep,
            "Polishing a die",
            "no",
            [
                Way("no", "clean enough", SocketSchoolsWords.MetalFillsWhatIsLeft, w => w with { Polish = Polish.No }),
                Way(
                    "yes",
                    "polish it flat",
                    SocketSchoolsWords.ThinnerFilmEveryStrokeTakesSilicon,
                    w => w with { Polish = Polish.Yes }
                ),
            ]
        ),
    ];
}
