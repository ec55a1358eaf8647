using FaithfulBracket.Core.Boards;

namespace FaithfulBracket.Core.Route;

/// <summary>One way of doing it.</summary>
/// <param name="Why">Its reason, in a sentence.</param>
public sealed record SchoolWay(string Id, string Name, string Why);

/// <summary>A question on which good installers disagree; both ways are supported.</summary>
/// <param name="Default">The way taken unless somebody chooses.</param>
public sealed record School(string Id, Station Station, string Question, string Default, IReadOnlyList<SchoolWay> Ways);

/// <summary>Where installers disagree: the ways, the defaults and their reasons.</summary>
public static class Schools
{
    /// <summary>The questions that apply to a job, defaults set by its board.</summary>
    public static IReadOnlyList<School> For(Board board)
    {
        var card = board.Kind is BoardKind.GraphicsCard or BoardKind.MemoryModule;
        return
        [
            new(
                "cleaning",
                Station.Prep,
                "What cleans the faces",
                "alcohol",
                [
                    new("alcohol", "alcohol, every contact face", "Residue anywhere lifts a pad and tilts the block."),
                    new(
                        "remover",
                        "two-part remover first",
                        "Old paste comes off in one wipe; it has to wait, and alcohol follows all the same."
                    ),
                ]
            ),
            new(
                "cut",
                Station.Pads,
                "How pads are cut",
                "each",
                [
                    new("each", "a piece for each part", "Least waste, and each part's squash is its own."),
                    new(
                        "strips",
                        "whole strips over a row",
                        "Fewer pieces to peel and lay; the strip also covers what lies between the chips."
                    ),
                ]
            ),
            new(
                "pads-on",
                Station.Pads,
                "Where pads are laid",
                "by-tack",
                [
                    new(
                        "by-tack",
                        "by the tacky side",
                        "The tacky side holds where the part is turned over: that decides board or block."
                    ),
                    new(
                        "board",
                        "on the board",
                        "The part shows where the pad belongs; nothing falls when the plate comes down."
                    ),
                    new(
                        "block",
                        "on the block",
                        "Marked pockets make placing easier, and a board that is turned over loses none."
                    ),
                ]
            ),
            new(
                "paste-die",
                Station.Paste,
                "Paste on bare silicon",
                "spread",
                [
                    new(
                        "spread",
                        "spread to full cover",
                        "Bare silicon has nothing that carries heat sideways: a corner without paste overheats."
                    ),
                    new(
                        "cross",
                        "a cross, pressed out",
                        "No air is shut in, and the clamp makes the film; look at what the simulation leaves bare."
                    ),
                    new("line", "one line, pressed out", "Right for a long narrow die."),
                ]
            ),
            new(
                "paste-lid",
                Station.Paste,
                "Paste on a lid",
                "cross",
                [
                    new("cross", "a cross", "Reaches the corners of a square lid with the least excess."),
                    new(
                        "dot",
                        "one dot",
                        "Cannot shut in air; leaves the corners of a large lid bare, which matters little."
                    ),
                    new("line", "one line", "Follows a long die under the lid."),
                    new("spread", "spread", "Sure of full cover; takes a steady hand."),
                ]
            ),
            new(
                "who-moves",
                Station.Mount,
                "Who moves",
                card ? "board" : "block",
                [
                    new(
                        "board",
                        "board onto block",
                        "Holes stay in sight from above, and a card is lighter than its block."
                    ),
                    new(
                        "block",
                        "block onto board",
                        "A mainboard lies still in its tray; pads on the board stay where they were laid."
                    ),
                ]
            ),
            new(
                "increments",
                Station.Mount,
                "How far at a time",
                "simulated",
                [
                    new(
                        "simulated",
                        "the largest even step in bounds",
                        "The simulation keeps tilt and edge pressure within limits with the fewest moves."
                    ),
                    new("quarter", "quarter turns", "Slow and even whatever the springs are."),
                    new("two", "two turns, then the opposite", "Quick on long springs; watch the tilt it shows."),
                    new("home", "each to its stop", "Only where stops are short: see what the edge has to take."),
                ]
            ),
            new(
                "tightness",
                Station.Mount,
                "How tight",
                "stop",
                [
                    new(
                        "stop",
                        "to the hard stop, else the simulated load",
                        "Evenness matters more than tightness; a shank that stops makes every screw the same."
                    ),
                    new(
                        "grip",
                        "until it grips, then a little more",
                        "For screws without a stop and without figures: the same little more on each."
                    ),
                ]
            ),
            new(
                "pressing",
                Station.Mount,
                "Pressing down while screwing",
                "none",
                [
                    new("none", "none", "The springs do it; a thumb on one corner is a load nobody reckoned."),
                    new(
                        "light",
                        "light, in the middle",
                        "Helps short springs to catch; only over the die, never at a corner."
                    ),
                ]
            ),
            new(
                "back-plate-screws",
                Station.Mount,
                "Screws that the back plate needs",
                "out",
                [
                    new(
                        "out",
                        "left out until it is on",
                        "They hold the back plate: put in early they have to come out again under load."
                    ),
                    new("all", "all in, then some out", "The block is held everywhere while the board is handled."),
                ]
            ),
            new(
                "imprint",
                Station.Prove,
                "Looking at the imprint",
                "no-lift",
                [
                    new(
                        "no-lift",
                        "no lift unless proof is poor",
                        "Every lift costs fresh pads and paste and another chance to chip a die."
                    ),
                    new(
                        "lift",
                        "lift once, read it, mount again",
                        "The imprint shows film and pads as they are; fresh pads and paste go on for the second time."
                    ),
                ]
            ),
            new(
                "stock-pads",
                Station.Care,
                "Stock pads",
                "replace",
                [
                    new("replace", "replace", "Pressed pads do not come back to their thickness."),
                    new("reuse", "keep those of the back plate", "Intact and undisturbed, they fit where they were."),
                ]
            ),
        ];
    }
}
