using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Plans;
using FaithfulBracket.Core.Words;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>What a signature means: the words, figures and documents it was given on, and when it is to be looked at again.</summary>
public class SignatureTests
{
    private static readonly DocumentStand BoardA = new("board", "A", "tern", "d1"),
        BoardB = new("board", "B", "tern-b", "d2"),
        BlockP = new("block", "P", "full", "d3"),
        BlockQ = new("block", "Q", "stages", "d4");

    private static readonly DocumentStand[] All = [BoardA, BoardB, BlockP, BlockQ];

    private static WorkStep Step(
        Station station = Station.Mount,
        StepKind kind = StepKind.Turn,
        string? board = null,
        string? pair = null
    ) =>
        new()
        {
            Id = new(station, null, "x"),
            Kind = kind,
            Title = $"Turn S1",
            Done = "Turned",
            Board = board,
            Pair = pair,
            Facts = [new("0.5 N·m", "torque"), new("1.2 mm", "thick")],
            Count = 4,
            TimerS = 30,
        };

    private static IEnumerable<string> RestsOn(WorkStep step) =>
        SignedBasis.From(step, All).Documents.Select(d => d.Key);

    [Fact]
    public void It_keeps_the_steps_words_figures_count_kind_and_wait()
    {
        var basis = SignedBasis.From(Step(), All);
        Assert.Equal(("Turn S1", 4, StepKind.Turn, 30), (basis.Title, basis.Count, basis.Kind, basis.WaitS));
        Assert.Equal(["0.5 N·m", "1.2 mm"], basis.Facts.Select(f => f.Value));
        Assert.False(basis.TiedLater);
        Assert.Empty(basis.ChangedBy(Step(), All));
    }

    [Theory]
    [InlineData(StepKind.Lower, "Lower the left half of block P", "Set block P down", true)]
    // a number, or another thing, is another step whatever the words are
    [InlineData(StepKind.Lower, "Lower block P, 2 films", "Set block P down, 3 films", false)]
    [InlineData(StepKind.Turn, "Turn each to the stop", "Turn each until it grips", false)]
    public void What_is_done_to_what_stands_in_whatever_words(StepKind kind, string then, string now, bool stands)
    {
        ThingId block = new(ThingKind.Block, "P"),
            board = new(ThingKind.Board, "A");
        WorkStep At(string title, params Act[] acts) =>
            Step(kind: kind) with
            {
                Title = Message.Quote(title),
                Acts = acts,
            };
        Act lower = new(Verb.Lower, block, board);
        var signed = SignedBasis.From(At(then, lower), All);
        Assert.Equal(stands, signed.ChangedBy(At(now, lower), All).Count == 0);
        // a turn of the board before it changes nothing, another thing does
        Assert.Equal(stands, signed.ChangedBy(At(now, new(Verb.TurnOver, board), lower), All).Count == 0);
        Assert.NotEmpty(signed.ChangedBy(At(now, lower with { Thing = board, To = block }), All));
        // one from before acts were kept goes by its words
        Assert.NotEmpty((signed with { Acts = null }).ChangedBy(At(now, lower), All));
    }

    /// <summary>Three ways to word one statement, two of them of the same quantities.</summary>
    private static Message Statement(string words, string screw, Message howFar) =>
        words switch
        {
            "old" => (Message)$"Screw {screw}: {howFar}",
            "mended" => (Message)$"Turn screw {screw} clockwise {howFar}",
            _ => (Message)$"Turn screw {screw} {howFar} at 0.9 N·m",
        };

    [Fact]
    public void The_same_statement_of_the_same_quantities_stands_however_it_is_worded()
    {
        WorkStep At(Message title) => Step(kind: StepKind.Turn) with { Title = title };
        Message half = $"half a turn",
            same = $"half of a turn, to its stop";
        var signed = SignedBasis.From(At(Statement("old", "S1", half)), All);
        Assert.Empty(signed.ChangedBy(At(Statement("mended", "S1", half)), All));
        // a statement in it has a code too, so its own words may be mended
        Assert.Empty(signed.ChangedBy(At(Statement("mended", "S1", same)), All));
        Assert.NotEmpty(signed.ChangedBy(At(Statement("mended", "S2", half)), All));
        Assert.NotEmpty(signed.ChangedBy(At(Statement("mended", "S1", Message.Quote("half a turn"))), All));
        // a number among the words is another step, whatever its code
        Assert.NotEmpty(signed.ChangedBy(At(Statement("with a number", "S1", half)), All));
        // one from before codes were kept goes by its words
        Assert.NotEmpty((signed with { Stated = null }).ChangedBy(At(Statement("mended", "S1", half)), All));
    }

    [Fact]
    public void A_step_rests_on_the_board_and_the_pair_it_names_or_on_all()
    {
        Assert.Equal(["A", "B", "P", "Q"], RestsOn(Step()));
        Assert.Equal(["B", "P", "Q"], RestsOn(Step(board: "B")));
        Assert.Equal(["A", "B", "Q"], RestsOn(Step(pair: "Q")));
        Assert.Equal(["A", "P"], RestsOn(Step(board: "A", pair: "P")));
    }

    [Theory]
    [InlineData(Station.Teardown, StepKind.PowerOff)]
    [InlineData(Station.Teardown, StepKind.Unscrew)]
    [InlineData(Station.Teardown, StepKind.Unplug)]
    [InlineData(Station.Teardown, StepKind.Lift)]
    [InlineData(Station.Kit, StepKind.Run)]
    public void Taking_the_stock_cooler_off_and_the_run_before_it_rest_on_no_block(Station station, StepKind kind) =>
        Assert.Equal(["A", "B"], RestsOn(Step(station, kind)));

    [Fact]
    public void A_label_read_on_a_board_rests_on_that_board_alone()
    {
        Assert.Equal(["A"], RestsOn(Step(Station.Match, StepKind.Read, board: "A")));
        Assert.Equal(["A", "B", "P", "Q"], RestsOn(Step(Station.Match, StepKind.Read)));
        Assert.Equal(["A", "P", "Q"], RestsOn(Step(Station.Prep, StepKind.Read, board: "A")));
        // a run at another station, or something else at the kit, rests on the blocks too
        Assert.Equal(["A", "B", "P", "Q"], RestsOn(Step(Station.Prove, StepKind.Run)));
        Assert.Equal(["A", "B", "P", "Q"], RestsOn(Step(Station.Kit, StepKind.Count)));
    }

    [Theory]
    [InlineData("processor")]
    [InlineData("socket")]
    [InlineData("machine")]
    public void Processor_socket_and_machine_count_like_the_board_they_sit_on(string role)
    {
        DocumentStand own = new(role, "A", "x", "d");
        Assert.Contains(own, SignedBasis.From(Step(board: "A"), [own]).Documents);
        Assert.DoesNotContain(own, SignedBasis.From(Step(board: "B"), [own]).Documents);
        Assert.Contains(own, SignedBasis.From(Step(Station.Teardown, StepKind.Lift), [own]).Documents);
    }

    private static IReadOnlyList<string> Changed(WorkStep now, params DocumentStand[] documents) =>
        SignedBasis.From(Step(), [BoardA, BlockP]).ChangedBy(now, documents);

    [Fact]
    public void Each_change_of_a_document_is_a_sentence_of_its_own()
    {
        Assert.Equal(["The document of board tern changed."], Changed(Step(), BoardA with { Digest = "e" }, BlockP));
        Assert.Equal(
            ["The block was full, now it is slim."],
            Changed(Step(), BoardA, BlockP with { Id = "slim", Digest = "e" })
        );
        Assert.Equal(["The block was full; there is none now."], Changed(Step(), BoardA));
        Assert.Equal(["The block stages came since."], Changed(Step(), BoardA, BlockP, BlockQ));
        Assert.Equal(
            ["The block was full; there is none now.", "The block stages came since."],
            Changed(Step(), BoardA, BlockQ)
        );
    }

    [Fact]
    public void A_step_that_names_its_pair_now_asks_no_more_of_the_others()
    {
        // signed when it rested on everything: what it no longer rests on does not trouble it
        var basis = SignedBasis.From(Step(), All);
        Assert.Empty(basis.ChangedBy(Step(board: "A", pair: "P"), [BoardA, BlockP]));
    }

    [Fact]
    public void Other_words_other_figures_and_another_count_are_told()
    {
        DocumentStand[] same = [BoardA, BlockP];
        Assert.Equal(["It said “Turn S1”, now “Turn S2”."], Changed(Step() with { Title = $"Turn S2" }, same));
        Assert.Equal(
            ["torque: 0.5 N·m became 0.6 N·m."],
            Changed(Step() with { Facts = [new("0.6 N·m", "torque"), new("1.2 mm", "thick")] }, same)
        );
        Assert.Equal(["4 to count became 6."], Changed(Step() with { Count = 6 }, same));
        Assert.Equal(["4 to count became nothing."], Changed(Step() with { Count = null }, same));
        var none = SignedBasis.From(Step() with { Count = null }, same);
        Assert.Equal(["nothing to count became 4."], none.ChangedBy(Step(), same));
        // another title says another count already
        Assert.Single(Changed(Step() with { Title = $"Turn S2", Count = 6 }, same));
        // a figure that is told no more, or a new one, is no other figure
        Assert.Empty(Changed(Step() with { Facts = [] }, same));
        Assert.Empty(Changed(Step() with { Facts = [.. Step().Facts, new("9", "new")] }, same));
    }

    [Fact]
    public void A_signature_of_which_only_the_documents_were_kept_is_judged_by_them_alone()
    {
        var old = new SignedBasis { Documents = [BoardA, BlockP], TiedLater = true };
        Assert.Empty(old.ChangedBy(Step() with { Title = $"Other", Count = 9 }, [BoardA, BlockP]));
        Assert.Single(old.ChangedBy(Step(), [BoardA, BlockP with { Digest = "e" }]));
    }

    // ---- how steps stand

    private static readonly StepId X = new(Station.Mount, null, "x"),
        Y = new(Station.Mount, null, "y"),
        Z = new(Station.Mount, null, "z");

    private static SignEvent Event(
        StepId step,
        bool done = true,
        string by = "QA",
        string at = "1",
        SignedBasis? on = null
    ) => new(step, done, by, at, 4, on);

    [Fact]
    public void What_was_taken_back_is_not_signed_and_the_last_word_counts()
    {
        Assert.Equal(
            [Z, X],
            StepStands.Signed([Event(X), Event(Y), Event(X, done: false), Event(Z), Event(Y, done: false), Event(X)])
        );
        Assert.Empty(StepStands.Signed([]));
    }

    [Fact]
    public void A_step_tells_who_signed_it_last_and_how_often_it_was_signed_or_taken_back()
    {
        var steps = new[] { Step(), Step() with { Id = Y }, Step() with { Id = Z } };
        var stands = StepStands.Compute(
            steps,
            [
                Event(X, by: "ML"),
                Event(X, done: false),
                Event(X, by: "RV", at: "9"),
                Event(Y),
                Event(Y, done: false, by: "ML"),
            ],
            []
        );
        Assert.Equal([true, false, false], stands.Select(s => s.Signed));
        Assert.Equal([3, 2, 0], stands.Select(s => s.Version));
        Assert.Equal(["RV", "ML", null], stands.Select(s => s.By));
        Assert.Equal(
            ("9", 4, Station.Mount, "Turn S1"),
            (stands[0].At, stands[0].Count, stands[0].Station, stands[0].Title)
        );
        Assert.Null(stands[2].At);
    }

    [Fact]
    public void Only_a_standing_signature_is_looked_at_again()
    {
        var basis = SignedBasis.From(Step(), [BoardA]);
        StepStand Stand(params SignEvent[] events) =>
            StepStands.Compute([Step()], events, [BoardA with { Digest = "other" }])[0];
        Assert.True(Stand(Event(X, on: basis)).LookAgain);
        Assert.Equal(["The document of board tern changed."], Stand(Event(X, on: basis)).Changed);
        Assert.False(Stand(Event(X, on: basis), Event(X, done: false)).LookAgain);
        // nothing was kept of what it was signed on: nothing can have changed
        Assert.False(Stand(Event(X)).LookAgain);
    }

    [Theory]
    [InlineData(
        "Power off, unplug, press the switch to drain",
        "Switch off, unplug, then press the power switch to discharge the board",
        true
    )]
    [InlineData(
        "Dry fit of the block without pads or paste: 6 things to look at",
        "Dry fit of the block without pads or paste (6 checks)",
        true
    )]
    [InlineData(
        "Block straight down over its posts, turned 90°, no sliding",
        "Set the block straight onto its posts, turned 90°. Do not slide it.",
        true
    )]
    [InlineData("Cut 5 pieces from offcut offcut-17, 7 cuts", "Cut 5 pieces from offcut-17 (7 cuts)", true)]
    [InlineData(
        "Jet plate J2 in, its slit across the fins: turn it by a quarter",
        "Fit jet plate J2 with its slit across the fins (rotate it a quarter turn)",
        true
    )]
    [InlineData(
        "A film of silverfish on U1 and on its contact patch, 16 µL each",
        "Put a film of silverfish on U1 and on its contact patch, 16 µL each",
        true
    )]
    [InlineData(
        "Frame in place of the clamp: screws loose, then to 0.35 N·m each",
        "Fit the frame in place of the clamp: screws loose, then to 0.35 N·m each",
        true
    )]
    [InlineData("Lay 6 1.0 mm pads on the memory", "Place 6 pads (1.0 mm) on the memory", true)]
    [InlineData("Start 2 screws loose", "Start 2 screws of block P loose", true)]
    [InlineData("Pass 1 of 3: one turn each, screws 1 to 4", "Pass 1 of 3: two turns each, screws 1 to 4", false)]
    [InlineData("Spread 0.05 g of grey-standard over U1", "Spread 0.05 g of white-standard over U1", false)]
    [InlineData("Take out 4 screws, group F1", "Take out 4 screws, group F2", false)]
    [InlineData("Draw a cross on LID, arms 27 mm", "Draw a cross on LID, arms 35 mm", false)]
    public void Other_words_for_the_same_figures_are_signed_already(string then, string now, bool same) =>
        Assert.Equal(same, SignedBasis.SaysTheSame(then, now));
}
