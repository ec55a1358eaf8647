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
                    "processor in first, under its cover",
                    "The cover keeps tools off the contacts until the package lies over them.",
                    w => w with { Clamp = ProcessorAndClamp.ProcessorFirst }
                ),
                Way(
                    "clamp-off",
                    "clamp off first",
                    "Nothing is in the way of the package; the contacts lie open meanwhile.",
                    w => w with { Clamp = ProcessorAndClamp.ClampOff }
                ),
            ]
        ),
        new(
            "nuts-by",
            Station.Mount,
            "Nuts by thumb or by driver",
            "thumb",
            [
                Way(
                    "thumb",
                    "by thumb",
                    "The hand feels the stop and can not overdo it.",
                    w => w with { NutsBy = NutsBy.Thumb }
                ),
                Way(
                    "driver",
                    "by driver",
                    "Equal turns are easier to count; stop where it stops.",
                    w => w with { NutsBy = NutsBy.Driver }
                ),
            ]
        ),
        new(
            "closing",
            Station.Mount,
            "What the job ends with",
            "block",
            [
                Way(
                    "block",
                    "the block on its board",
                    "Whoever builds the machine puts the board on its tray.",
                    w => w with { Closing = Closing.Block }
                ),
                Way(
                    "tray",
                    "board on its tray, memory in",
                    "The board is handled once more while somebody still looks at the block.",
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
                    "warm it right through",
                    "Warm solder shears with less force, and the package bends less.",
                    w => w with { WarmLid = WarmLid.Warm }
                ),
                Way(
                    "cold",
                    "cold",
                    "A good jig shears it cold; nobody handles hot metal.",
                    w => w with { WarmLid = WarmLid.Cold }
                ),
            ]
        ),
        new(
            "polish",
            Station.Prep,
            "Polishing a die",
            "no",
            [
                Way(
                    "no",
                    "clean enough",
                    "Metal fills what is left of the solder.",
                    w => w with { Polish = Polish.No }
                ),
                Way(
                    "yes",
                    "polish it flat",
                    "A thinner film; every stroke takes silicon that does not come back.",
                    w => w with { Polish = Polish.Yes }
                ),
            ]
        ),
    ];
}
