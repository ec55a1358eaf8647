using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>What a chance comes to, which reason stands first, and what no chance mends.</summary>
public class FitVerdictTests
{
    private static readonly Board Measured = Sample.Board(0.12);
    private static readonly double Chance = Fit.Judge(Measured, Sample.Block()).ChanceOfSeating;

    private static FitResult Of(double fails, double passes, Block? block = null, Board? board = null) =>
        Fit.Judge(board ?? Measured, block ?? Sample.Block(), new(Fails: fails, Passes: passes));

    [Fact]
    public void Below_one_bound_it_clashes_up_to_the_other_it_is_unproven()
    {
        Assert.InRange(Chance, 0.1, 0.9);
        Assert.Equal(Verdict.Clashes, Of(Chance + 1e-9, 1).Verdict);
        Assert.Equal(Verdict.Unproven, Of(Chance, 1).Verdict);
        Assert.Equal(Verdict.Unproven, Of(0, Chance).Verdict);
        Assert.Equal(Verdict.Seats, Of(0, Chance - 1e-9).Verdict);
        var percent = Math.Round(100 * Chance);
        Assert.Equal($"seats in {percent} % of cases", Of(Chance + 1e-9, 1).Summary);
        Assert.Equal($"unproven, {percent} % likely", Of(Chance, 1).Summary);
        var told = Of(0, 1).Reasons.Single(r => r.Code == "chance");
        Assert.Equal($"Positions are known to ±0.36 mm (3σ): chance of seating {percent} %.", told.Text);
        Assert.DoesNotContain(Fit.Judge(Sample.Board(), Sample.Block()).Reasons, r => r.Code == "chance");
    }

    [Fact]
    public void Unproven_the_chance_stands_first_and_else_what_weighs_most()
    {
        var board = Measured with
        {
            Parts = [.. Measured.Parts, Sample.Part("Q1", PartKind.PowerStage, -50, 0, 4, 4, 0.8, Cooling.Must)],
        };
        Assert.Equal("chance", Of(0, 1, board: board).Reasons[0].Code);
        var seats = Of(0, 0, board: board);
        Assert.Equal((Verdict.SeatsWithWork, "uncovered"), (seats.Verdict, seats.Reasons[0].Code));
        Assert.Equal(seats.Reasons.Select(r => r.Weight).OrderDescending(), seats.Reasons.Select(r => r.Weight));
    }

    private static Block Change(Func<Plate, Plate> change) =>
        Sample.Block() with
        {
            Plates = [change(Sample.Block().Plates[0])],
        };

    [Fact]
    public void What_no_place_mends_clashes_whatever_the_chance()
    {
        // the die's paste land gone: nothing fixes the height
        Assert.Equal(Verdict.Clashes, Of(0, 1, Change(p => p with { Lands = [.. p.Lands.Skip(1)] })).Verdict);
        // a required screw without a hole
        Assert.Equal(
            Verdict.Clashes,
            Of(0, 1, Change(p => p with { Holes = [.. p.Holes, p.Holes[0] with { Id = "S9", X = 44, Y = 0 }] })).Verdict
        );
        // a part that stands into its land
        var tall = Measured with
        {
            Parts = [.. Measured.Parts.Select(p => p.Id == "M1" ? p with { HeightMm = 2 } : p)],
        };
        Assert.Equal(Verdict.Clashes, Of(0, 1, board: tall).Verdict);
        // a screw seen beside its hole may truly be over it
        var beside = Of(
            0,
            1,
            Change(p => p with { Holes = [.. p.Holes.Select(h => h.Id == "S1" ? h with { X = h.X - 0.5 } : h)] })
        );
        Assert.Equal(Verdict.Unproven, beside.Verdict);
        // and a part seen under the base too
        var under = Measured with
        {
            Parts = [.. Measured.Parts, Sample.Part("C9", PartKind.Capacitor, 46, 10, 3, 3, 3.4)],
        };
        Assert.Equal(Verdict.Unproven, Of(0, 1, board: under).Verdict);
    }

    [Fact]
    public void A_seat_is_told_by_its_tightest_part_its_screws_or_alone()
    {
        Assert.Equal("seats, all screws pass", Fit.Judge(Sample.Board(), Sample.Block()).Summary);
        Assert.Equal("seats", Fit.Judge(Sample.Board(), Change(p => p with { Holes = [] })).Summary);
        var thin = Fit.Judge(
            Sample.Board(),
            Change(p => p with { Lands = [.. p.Lands.Select(l => l.PadMm is null ? l : l with { PadMm = 0.5 })] })
        );
        Assert.Equal((Verdict.SeatsWithWork, "seats, with work"), (thin.Verdict, thin.Summary));
    }

    [Fact]
    public void The_worst_screw_is_the_one_that_uses_most_of_its_slack()
    {
        // one 0.5 mm off with 1.25 mm of slack, one 0.1 mm off with 0.15
        var board = Sample.Board();
        board = board with
        {
            Holes = [.. board.Holes, new("W", 0, 40, 5, HoleRole.Perimeter), new("N", 0, -40, 2.8, HoleRole.Perimeter)],
        };
        BlockHole Extra(string id, double y) =>
            Sample.Block().Plates[0].Holes[0] with
            {
                Id = id,
                X = 0,
                Y = y,
                Required = false,
            };
        var fit = Fit.Judge(board, Change(p => p with { Holes = [Extra("w", 40.5), .. p.Holes, Extra("n", -40.1)] }));
        var told = fit.Reasons.Single(r => r.Code == "screws-pass");
        Assert.Equal("All 6 screws pass; worst is n, 0.10 of 0.15 mm slack used.", told.Text);
        Assert.Equal(["n"], told.Refs);
        // no slack at all and dead on: it passes and is not told as worst
        var tight = Fit.Judge(
            Sample.Board(),
            Change(p => p with { Holes = [.. p.Holes.Select(h => h.Id == "S3" ? h with { ScrewMm = 2.8 } : h)] })
        );
        Assert.Contains(
            "All 4 screws pass",
            tight.Reasons.Single(r => r.Code == "screws-pass").Text,
            StringComparison.Ordinal
        );
        var one = Fit.Judge(Sample.Board(), Change(p => p with { Holes = [p.Holes[0]] }));
        Assert.StartsWith(
            "The one screw passes: S1,",
            one.Reasons.Single(r => r.Code == "screws-pass").Text,
            StringComparison.Ordinal
        );
        Assert.DoesNotContain(
            Fit.Judge(Sample.Board(), Change(p => p with { Holes = [] })).Reasons,
            r => r.Code == "screws-pass"
        );
    }
}
