using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Sockets;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Heights, springs, stops, turns: hand figures.</summary>
public class SocketTests
{
    internal static Socket Gull() =>
        new()
        {
            Id = "gull",
            Name = "Gull",
            PackageOutline = Sample.Rect(0, 0, 40, 40),
            SeatMm = 1.9,
            ContactMinN = 250,
            ContactMaxN = 700,
            ClampN = 380,
        };

    internal static Board Processor(bool lid = true) =>
        Sample.Board() with
        {
            Kind = BoardKind.Processor,
            Socket = "gull",
            ThicknessMm = 1.2,
            Outline = Sample.Rect(0, 0, 40, 40),
            Holes = [],
            Parts =
            [
                .. lid
                    ? [Part("LID", PartKind.Lid, 0, 0, 36, 34, 3.4) with { LidThicknessMm = 2.5 }]
                    : Array.Empty<Part>(),
                Part("D1", PartKind.Die, -6, 0, 12, 10, 0.75) with
                {
                    PowerShare = 0.6,
                    BondMm = 0.15,
                },
                Part("D2", PartKind.Die, 8, 0, 10, 8, 0.75) with
                {
                    PowerShare = 0.4,
                    BondMm = 0.15,
                },
            ],
        };

    /// <summary>A part without tolerance: heights are told to the last digit here.</summary>
    internal static Part Part(string id, PartKind kind, double x, double y, double w, double d, double h) =>
        Sample.Part(id, kind, x, y, w, d, h) with
        {
            HeightTolMm = 0,
        };

    /// <summary>Four sprung posts at ±38, made for a contact 6.5 mm up: 2 mm of travel at 40 N/mm each.</summary>
    internal static Block Cooler(double? stopMm = null, double design = 6.5)
    {
        var block = Sample.Block();
        return block with
        {
            Kind = BlockKind.Processor,
            Rotations = [0, 90, 180],
            ColdPlate = new("nickel-plated copper", 3, 90, 0) { FinArea = Sample.Rect(0, 0, 36, 36) },
            Ports = [new("IN", "G1/4", 10, 0, "right", "in"), new("OUT", "G1/4", -10, 0, "front", "out")],
            Sockets = [new("gull", null, "backPlate", "J2", "I1", null, stopMm) { DesignHeightMm = design }],
            Plates =
            [
                block.Plates[0] with
                {
                    Outline = Sample.Rect(0, 0, 60, 60),
                    Holes =
                    [
                        .. Sample
                            .Corners(38)
                            .Select(
                                (c, i) =>
                                    new Blocks.BlockHole
                                    {
                                        Id = $"S{i}",
                                        X = c.X,
                                        Y = c.Y,
                                        ScrewMm = 4,
                                        Spring = new(40, 2),
                                    }
                            ),
                    ],
                    Lands = [],
                    Pockets = [],
                    BaseStepMm = 0,
                },
            ],
        };
    }

    private static SocketMatchResult Match(
        Block block,
        Socket? socket = null,
        Board? processor = null,
        Board? board = null
    ) => SocketMatch.Compute(board, socket ?? Gull(), processor ?? Processor(), block);

    [Fact]
    public void Heights_add_up_and_springs_pull_as_far_as_they_are_pressed()
    {
        // 1.9 + 1.2 + 3.4 = 6.5; with 0.03 of film the springs are pressed 2.03 mm: 4·40·2.03 = 324.8 N
        var r = Match(Cooler());
        Assert.Equal(6.5, r.ContactMm, 9);
        Assert.Equal(6.53, r.HomeMm, 9);
        Assert.Null(r.StopGapMm);
        Assert.Equal(324.8, r.SpringLoadN, 6);
        Assert.Equal(324.8, r.LoadN, 6);
        Assert.Equal(704.8, r.SocketLoadN, 6);
        Assert.Equal(0, r.ShimMm);
        // even over a lid of 36 × 34
        Assert.Equal(324.8 / (36 * 34), r.PeakMPa, 6);
        Assert.Equal(Verdict.SeatsWithWork, r.Verdict);
        Assert.Equal(["contact-high"], r.Reasons.Select(x => x.Code));
    }

    [Fact]
    public void A_low_contact_asks_for_washers_that_give_the_load_back()
    {
        var r = Match(Cooler(design: 7.5));
        Assert.Equal(0.97, r.ShimMm, 9);
        Assert.Equal(4 * 40 * 1.03, r.LoadN, 6);
        // 0.8 mm is the most that can be bought: 4 · 40 · 1.83 of 4 · 40 · 2
        Assert.Equal([0.8], r.Shims);
        Assert.Equal(
            "The contact lies 0.97 mm lower than the springs are made for: washers under each (0.8 mm) make it 293 N, 165 N without.",
            r.Reasons.Single(x => x.Code == "shim").Text
        );
    }

    [Fact]
    public void Stops_that_are_met_exactly_at_home_take_no_load_away()
    {
        // 6.50 and a film of 0.03: sums that no double holds
        var r = Match(Cooler(stopMm: 6.53));
        Assert.Equal(0, r.StopGapMm);
        Assert.Equal(r.SpringLoadN, r.LoadN);
        Assert.True(r.LoadN > 0);
    }

    [Fact]
    public void Stops_that_come_first_leave_the_contact_without_load()
    {
        var r = Match(Cooler(stopMm: 6.8));
        Assert.Equal(-0.27, r.StopGapMm!.Value, 9);
        Assert.Equal(6.8, r.HomeMm, 9);
        Assert.Equal(0, r.LoadN);
        Assert.Equal(0, r.ShimMm);
        Assert.Equal(4 * 40 * 2.3, r.SpringLoadN, 6);
        Assert.Equal(380, r.SocketLoadN);
        Assert.Equal(Verdict.Clashes, r.Verdict);
        Assert.Equal("stop-before-contact", r.Reasons[0].Code);
    }

    [Fact]
    public void Without_a_lid_the_tallest_die_counts_and_the_frame_holds()
    {
        var block = Cooler() with
        {
            Sockets =
            [
                new("gull", "K9", "backPlate", null, null, null, null)
                {
                    DesignHeightMm = 4,
                    SeatMm = 1.7,
                    FrameN = 90,
                },
            ],
        };
        var r = Match(block, processor: Processor(lid: false));
        Assert.Equal(1.7 + 1.2 + 0.75, r.ContactMm, 9);
        Assert.Equal(r.LoadN + 90, r.SocketLoadN, 9);
        Assert.Equal("K9", r.Kit);
    }

    [Fact]
    public void The_wrong_socket_the_wrong_posts_and_an_unknown_kit_are_told()
    {
        Assert.Equal(
            "wrong-socket",
            Match(Cooler(), processor: Processor() with { Socket = "plover" }).Reasons[0].Code
        );
        Assert.Equal("wrong-socket", Match(Cooler() with { Sockets = [] }).Reasons[0].Code);
        var captive = Match(Cooler(), Gull() with { Posts = Posts.Captive });
        Assert.Equal(Verdict.Clashes, captive.Verdict);
        Assert.Contains("captive", captive.Reasons[0].Text, StringComparison.Ordinal);
    }

    [Fact]
    public void Of_two_kits_for_a_socket_the_one_that_fits_is_taken_whichever_is_named_first()
    {
        SocketFit unfit = new("gull", "K-captive", "captive", "J2", "I1", null, null) { DesignHeightMm = 6.5 },
            fits = new("gull", "K-plate", "backPlate", "J2", "I1", null, null) { DesignHeightMm = 6.5 },
            // stands on its stops before it touches
            tall = fits with { Kit = "K-tall", StopHeightMm = 9 };
        foreach (var kits in new SocketFit[][] { [unfit, tall, fits], [fits, unfit, tall], [tall, fits, unfit] })
        {
            var r = Match(Cooler() with { Sockets = kits });
            Assert.Equal(("K-plate", Verdict.SeatsWithWork), (r.Kit, r.Verdict));
        }
    }

    [Fact]
    public void Turning_takes_ports_along_and_judges_each_way_against_what_stands_there()
    {
        // the wide side of the block meets a tall memory bar on the right only when it is not turned
        var block = Cooler();
        block = block with { Plates = [block.Plates[0] with { Outline = Sample.Rect(0, 0, 100, 40) }] };
        var board = Sample.Board() with { Parts = [Part("DIMM", PartKind.Connector, 45, 0, 5, 60, 30)] };
        var turns = Match(block, board: board).Orientations;
        Assert.Equal([0, 90, 180], turns.Select(t => t.RotationDeg));
        Assert.Equal(["DIMM"], turns[0].Clashes.Select(c => c.Part));
        Assert.Equal(6.53 - 30, turns[0].Clashes[0].MarginMm, 9);
        Assert.Empty(turns[1].Clashes);
        Assert.Equal([false, true, false], turns.Select(t => t.Allowed));
        var port = turns[1].Ports[0];
        Assert.Equal((0, 10, 90), (Math.Round(port.XMm, 9), Math.Round(port.YMm, 9), port.FacingDeg!.Value));
        Assert.Null(turns[1].Ports[1].FacingDeg);
    }

    [Fact]
    public void A_keep_out_in_every_turn_is_a_clash_in_words()
    {
        var ring = Gull() with { KeepOut = [new(Sample.Rect(0, 25, 10, 6), 9.5)] };
        var r = Match(Cooler(), ring);
        Assert.Equal(Verdict.Clashes, r.Verdict);
        Assert.Contains(
            r.Reasons,
            x => x.Code == "keep-out" && x.Text.ToString().Contains("keep-out 1", StringComparison.Ordinal)
        );
        Assert.DoesNotContain(r.Orientations, o => o.Allowed);
    }

    [Theory]
    [InlineData(90, 0, true)]
    [InlineData(0, 90.9, true)]
    [InlineData(45, 225, false)]
    [InlineData(0, 88, false)]
    [InlineData(30, -60, true)]
    public void The_slit_has_to_lie_across_the_fins(double fins, double slit, bool across)
    {
        var block = Cooler() with { ColdPlate = new("copper", 3, fins, slit) };
        var r = Match(block);
        Assert.All(r.Orientations, o => Assert.Equal(across, o.SlitAcrossFins));
        Assert.Equal(!across, r.Reasons.Any(x => x.Code == "slit-along-fins"));
    }

    [Fact]
    public void Too_little_on_the_contacts_shows_first_at_the_memory()
    {
        var r = Match(Cooler(), Gull() with { ClampN = 0, ContactMinN = 400 });
        Assert.Contains(
            r.Reasons,
            x => x.Code == "contact-low" && x.Text.ToString().Contains("memory", StringComparison.Ordinal)
        );
    }

    [Theory]
    [InlineData(0.05, "")]
    [InlineData(0.29, "")]
    [InlineData(0.3, "0.3 mm")]
    [InlineData(0.6, "2 × 0.3 mm")]
    [InlineData(0.97, "0.8 mm")]
    [InlineData(1.0, "1.0 mm")]
    [InlineData(1.32, "1.0 mm and 0.3 mm")]
    [InlineData(5, "2 × 1.0 mm")]
    public void Washers_are_those_that_can_be_bought(double asked, string words) =>
        Assert.Equal(words, Shims.InWords(Shims.Under(asked)));
}
