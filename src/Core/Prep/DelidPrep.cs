using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Sockets;

namespace FaithfulBracket.Core.Prep;

/// <summary>The lid off for good: warmed, sheared, scraped, soaked, coated.</summary>
internal static class DelidPrep
{
    /// <summary>Target of the step that covers bare parts; metal stays closed until it is signed.</summary>
    public const string CoatTarget = "coat";

    /// <summary>Strokes a bond usually takes, counted from the first.</summary>
    private const int UsualStrokes = 6;

    public static StepId Coat(WorkOrder order, SeatPlan seat) => new(Station.Prep, Scope(order, seat), CoatTarget);

    private static string? Scope(WorkOrder order, SeatPlan seat) =>
        order.ScopeOf(order.Pairs.First(p => p.Key == seat.Pair));

    /// <summary>From the jig to flat dies.</summary>
    public static IEnumerable<WorkStep> Opening(WorkOrder order, SeatPlan seat, Ways ways, ShopSettings shop)
    {
        if (!seat.Bare)
            return [];
        var seated = order.Find(seat.Board)!.Seated!;
        var lidded = HeightChain.Lid(seated.Processor) is not null;
        var soldered = DirectDie.Soldered(seated.Processor);
        var at = new SeatThings(seat);
        List<ThingId> dies =
        [
            .. HeightChain.Dies(seated.Processor).Select(d => at.Face(SeatedBoard.NameOn(seated, d.Id))),
        ];
        WorkStep Step(string target, StepKind kind, string title, string detail, string caution, string done) =>
            DelidPrep.Step(order, seat, target, kind, title, detail, caution, done);
        List<WorkStep> steps = [];
        if (SeatedBoard.IsIn(order.Find(seat.Board)!))
            steps.Add(Clamp(order, seat, lidded, ways));
        if (lidded)
        {
            steps.Add(
                Step(
                    "jig",
                    StepKind.Prepare,
                    "Lay the processor in the jig, corner mark to the jig's mark",
                    "The substrate lies flat in its bed; the slide meets the lid and nothing else.",
                    "The wrong way round the slide cuts into the parts beside the die.",
                    "Mark to mark"
                ) with
                {
                    Picture = StepPicture.Jig,
                    Feel = "It lies flat in its bed and does not rock; the slide just touches the lid.",
                    Acts = [new(Verb.Insert, at.Processor, ThingId.Jig)],
                }
            );
            if (soldered && ways.WarmLid == WarmLid.Warm && seat.Warm is { } warm)
                steps.Add(
                    Step(
                        "warm",
                        StepKind.Warm,
                        FormattableString.Invariant(
                            $"Warm it in the jig to {warm.ToC:0} °C, {Math.Ceiling(warm.Minutes):0} minutes"
                        ),
                        FormattableString.Invariant(
                            $"Right through: {warm.MassG:0} g of package, estimated from its size, reckoned in still air; the jig itself takes longer. Where the jig states a temperature, that one."
                        ),
                        "Hot metal: gloves. No food oven that is used for food afterwards; no alcohol near the heat.",
                        "Warm through"
                    ) with
                    {
                        TimerS = (int)(Math.Ceiling(warm.Minutes) * 60),
                        Acts = [new(Verb.Warm, at.Processor)],
                        Facts =
                        [
                            new(FormattableString.Invariant($"{warm.ToC:0} °C"), "the jig's word first"),
                            new(FormattableString.Invariant($"{Math.Ceiling(warm.Minutes):0} min"), "at least"),
                        ],
                    }
                );
            steps.Add(
                Step(
                    "shear",
                    StepKind.Shear,
                    "Shear the lid: a few turns one way, then the other, counted",
                    "The far side is loosened first; alternate as often as it takes, "
                        + $"{(soldered ? "solder gives slowly" : "glue gives at once")}. Stop at the end of travel.",
                    "Eye protection. Never pry with steel; a lid that sticks is warmed again, not forced.",
                    "Lid is off"
                ) with
                {
                    Count = UsualStrokes,
                    Counted = CountOf.Strokes,
                    Acts = [new(Verb.Shear, at.Lid), new(Verb.Remove, at.Processor)],
                    Facts = [new($"{UsualStrokes}", "strokes or more")],
                }
            );
            steps.Add(
                Step(
                    "glue",
                    StepKind.Scrape,
                    "Glue off the substrate with blunt plastic",
                    "Cut acrylic or a card's edge; slowly near the small parts.",
                    "No steel: one scratch cuts a trace. A blade is cut away from the hand.",
                    "Glue is off"
                ) with
                {
                    Targets = seat.Coat,
                    Acts = [new(Verb.Scrape, at.Substrate)],
                }
            );
            if (soldered)
            {
                steps.Add(
                    Step(
                        "solder",
                        StepKind.Scrape,
                        FormattableString.Invariant(
                            $"Scrape the bulk of the solder off with plastic, flood the rest with alloy, wait {shop.SolderSoakS / 60} minutes"
                        ),
                        "The alloy creeps into the solder and lets it go. The bare parts can be coated meanwhile.",
                        "Gallium: gloves, a tray; off aluminium tools, trays and jewellery. Waste is not for the drain.",
                        "Soaked"
                    ) with
                    {
                        TimerS = shop.SolderSoakS,
                        Acts = [.. dies.SelectMany(d => new Act[] { new(Verb.Scrape, d), new(Verb.Wait, d) })],
                        Facts = [new($"{shop.SolderSoakS / 60} min", "soak")],
                    }
                );
                steps.Add(
                    Step(
                        "swab",
                        StepKind.Clean,
                        "Work it across and lift it off with a damp swab; repeat until the die is flat",
                        "A damp swab, not a soaked wipe: nothing may run to the parts beside it. Count the rounds.",
                        "What comes off conducts and is collected.",
                        "Flat and bright"
                    ) with
                    {
                        Count = 2,
                        Counted = CountOf.Rounds,
                        Acts = [.. dies.Select(d => new Act(Verb.Scrape, d))],
                        Facts = [new("2", "rounds or more")],
                    }
                );
            }
        }
        if (ways.Polish == Polish.Yes)
            steps.Add(
                Step(
                    "polish",
                    StepKind.Clean,
                    "Polish the dies flat, on glass, even strokes",
                    "Every stroke takes silicon that does not come back.",
                    "Silicon dust: wet, and wiped up.",
                    "Polished"
                ) with
                {
                    Acts = [.. dies.Select(d => new Act(Verb.Polish, d))],
                }
            );
        return steps;
    }

    /// <summary>The clamp off; a package that has a lid to lose comes out with it.</summary>
    private static WorkStep Clamp(WorkOrder order, SeatPlan seat, bool lidded, Ways ways)
    {
        var at = new SeatThings(seat);
        var levers = order.Find(seat.Board)!.Seated!.Socket.Levers;
        Act off = new(Verb.Remove, at.Clamp);
        Act[] outOf =
            !lidded ? [off]
            : ways.Clamp == ProcessorAndClamp.ClampOff ? [off, new(Verb.Remove, at.Processor)]
            : [new(Verb.Remove, at.Processor), off];
        var up = levers switch
        {
            0 => "Clamp's screws loose",
            1 => "Lever up",
            _ => "Levers up in their order",
        };
        return Step(
            order,
            seat,
            "clamp",
            StepKind.Seat,
            lidded ? $"{up}, processor out by its edges, clamp off" : $"{up}, clamp off; the package stays",
            (
                !lidded ? "It lies loose until the frame holds it: the board stays as it is. "
                : ways.Clamp == ProcessorAndClamp.ClampOff ? "The clamp's screws first, then the package. "
                : "The package first, then the clamp's screws. "
            )
                + $"Something soft under the board first: the plate behind may drop. "
                + (lidded ? "The cover goes over the contacts; " : "")
                + "clamp and screws into the tray.",
            "Contacts bend under a fingertip, and a screw that drops on them is a new board.",
            lidded ? "Out, contacts covered" : "Clamp is off"
        ) with
        {
            Feel = lidded
                ? "The lever comes up under spring load; the package lifts straight out, nothing drags."
                : "The lever comes up under spring load; the package does not move.",
            Acts = [.. at.Unlatch(levers), .. outOf],
        };
    }

    /// <summary>What is bare round the dies is covered: after the last alcohol, before any metal.</summary>
    public static IEnumerable<WorkStep> Coating(WorkOrder order, SeatPlan seat, ShopSettings shop)
    {
        if (seat.Coat.Count == 0)
            yield break;
        yield return Step(
            order,
            seat,
            CoatTarget,
            StepKind.Coat,
            $"Coat the {seat.Coat.Count} bare parts round the dies, generously, and let it dry",
            "Stay off the old glue line: the frame sits there. The metal stays closed until this is dry.",
            "Alcohol strips a fresh coat: at the next cleaning keep it off these parts.",
            "Coat is dry"
        ) with
        {
            Targets = seat.Coat,
            Picture = StepPicture.Coat,
            Acts = [.. seat.Coat.Select(c => new Act(Verb.Coat, new SeatThings(seat).Face(c)))],
            TimerS = shop.CoatDryS,
            Facts = [new($"{seat.Coat.Count}", "parts"), new($"{shop.CoatDryS / 60} min", "dry")],
        };
    }

    private static WorkStep Step(
        WorkOrder order,
        SeatPlan seat,
        string target,
        StepKind kind,
        string title,
        string detail,
        string caution,
        string done
    ) => SeatSteps.Of(order, seat, Station.Prep, target, kind, title, detail, done) with { Caution = caution };
}
