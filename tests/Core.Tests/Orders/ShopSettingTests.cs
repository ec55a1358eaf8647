using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads;
using FaithfulBracket.Core.Prove;
using FaithfulBracket.Core.Prove.Faults;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Every working default is in the list once, can be set, and stands within its own bounds.</summary>
public class ShopSettingTests
{
    [Fact]
    public void Every_property_of_the_settings_is_changed_by_exactly_one_of_the_list()
    {
        var properties = typeof(ShopSettings).GetProperties().Where(p => p.CanWrite).ToList();
        var touched = new List<string>();
        foreach (var s in ShopSettingList.All)
        {
            var other = s.Allows(s.Most) && s.Most != s.Default ? s.Most : s.Least;
            var changed = s.With(new(), other);
            Assert.Equal(other, s.Get(changed));
            touched.Add(
                Assert.Single(properties, p => !Equals(p.GetValue(changed), p.GetValue(new ShopSettings()))).Name
            );
        }
        // a block's claim is set at the block; prices, faults and figures are several of one record
        string[] several = [nameof(ShopSettings.Prices), nameof(ShopSettings.Faults), nameof(ShopSettings.Figures)];
        Assert.Equal(
            properties.Select(p => p.Name).Where(n => n != nameof(ShopSettings.Claims)).Order(),
            touched.Distinct().Order()
        );
        Assert.Equal(touched.Where(n => !several.Contains(n)), touched.Where(n => !several.Contains(n)).Distinct());
        Assert.Equal(ShopSettingList.All.Count, ShopSettingList.All.Select(s => s.Key).Distinct().Count());
    }

    [Fact]
    public void Defaults_lie_within_their_bounds_and_what_can_not_be_is_left_out()
    {
        Assert.All(ShopSettingList.All, s => Assert.True(s.Allows(s.Default), s.Key));
        var settings = ShopSettingList.With(
            new Dictionary<string, double>
            {
                ["coolantInC"] = 27,
                ["flowLPerMin"] = -1,
                ["nobody"] = 4,
                ["claim:absurd"] = 90,
            }
        );
        Assert.Equal(new ShopSettings { CoolantInC = 27 }, settings);
        Assert.Equal(
            1.2,
            ShopSettingList.With(new Dictionary<string, double> { ["claim:full-460"] = 1.2 }).Claims["full-460"]
        );
    }

    [Fact]
    public void A_shop_that_changed_nothing_judges_as_the_plain_calls_do()
    {
        var shop = new ShopSettings();
        Assert.Equal(new FitSettings(), FitSettings.From(shop));
        Assert.Equal(PadWay.UnstatedContactMm2KPerW, shop.PadFaceMm2KPerW);
        Assert.Equal(SteadyState.DefaultWithinK, shop.SettledWithinK);
    }

    [Fact]
    public void A_choice_is_one_of_its_names()
    {
        var choices = ShopSettingList.All.Where(s => s.Choices is not null).ToList();
        Assert.Contains(choices, s => s.Key == "currency");
        Assert.All(
            choices,
            s =>
            {
                Assert.Equal((0, s.Choices!.Count - 1), (s.Least, s.Most));
                Assert.False(s.Allows(0.5), s.Key);
            }
        );
        var money = ShopSettingList.With(new Dictionary<string, double> { ["currency"] = 3 }).Prices.Currency;
        Assert.Equal("CHF", money);
    }

    [Fact]
    public void Faults_met_more_often_are_drawn_up_with_their_own_share()
    {
        var met = FaultPriors.From(new() { FilmLeft = 0.4 });
        Assert.Equal(0.4, met.Single(p => p.Kind == FaultKind.FilmLeft).Prior);
        Assert.Equal(1, FaultPriors.Default.Sum(p => p.Prior), 9);
        Assert.Equal(Enum.GetValues<FaultKind>().Order(), met.Select(p => p.Kind).Order());
    }

    [Fact]
    public void Limits_of_loads_are_narrower_by_the_margin_and_never_cross()
    {
        var socket = SocketTests.Gull() with { ContactMinN = 300, ContactMaxN = 400 };
        var order = new WorkOrder
        {
            Pieces = [new("A", Sample.Board()) { Seated = new(socket, Sample.Board(), null) }],
            Pairs = [],
        };
        Assert.Same(order, order.Without(0));
        var tenth = order.Without(0.1).First;
        Assert.Equal(405, tenth.Board.FindPart("U1")!.MaxLoadN!.Value, 9);
        Assert.Equal(
            (330, 360),
            (Math.Round(tenth.Seated!.Socket.ContactMinN, 9), Math.Round(tenth.Seated.Socket.ContactMaxN, 9))
        );
        var much = order.Without(0.4).First.Seated!.Socket;
        Assert.Equal((350, 350), (much.ContactMinN, much.ContactMaxN));
    }

    [Fact]
    public void A_shop_uses_no_more_of_a_pad_than_it_accepts_and_no_more_than_its_maker_allows()
    {
        var pad = new PadMaterial("soft", [new(0.5, 1)], 0.1, 0.45, 0.05);
        var used = pad.Within(0.15, 0.35);
        Assert.Equal((0.15, 0.35), (used.SquashMin, used.SquashMax));
        Assert.Equal(pad, pad.Within(0, 1));
        // 1.0 mm in 0.62 to 0.72 mm: 24 to 41 %, good to its maker, too much to the shop
        Assert.Equal(PadState.Good, PadSquash.In(0.62, 0.72, 1, pad, "kit").State);
        Assert.Equal(PadState.Crushed, PadSquash.In(0.62, 0.72, 1, used, "kit").State);
    }

    [Fact]
    public void What_nobody_stated_is_taken_as_the_shop_takes_it_and_what_was_measured_stays()
    {
        var claimed = new PadMaterial("c", [new(0.5, 1)], 0.1, 0.45, 0) { ClaimedWPerMK = 12 };
        var measured = claimed with { Id = "m", ConductivityWPerMK = 5, ContactMm2KPerW = 20 };
        var shop = new ShopSettings { PadFaceMm2KPerW = 15, PadClaimShare = 0.5 };
        var used = new Drawer { Materials = [claimed, measured] }
            .As(shop)
            .Materials;
        Assert.Equal((6, 15), (used[0].ConductivityWPerMK, used[0].ContactMm2KPerW));
        Assert.Equal((5, 20), (used[1].ConductivityWPerMK, used[1].ContactMm2KPerW));
    }

    [Fact]
    public void A_measured_board_seats_from_the_shops_own_chance_on()
    {
        // holes known to half a millimetre: the chance lies between the two thresholds
        var (board, block) = (Sample.Board(0.12), Sample.Block());
        var chance = Fit.Judge(board, block).ChanceOfSeating;
        Assert.InRange(chance, 0.06, 0.94);
        Verdict With(double fails, double passes) =>
            Fit.Judge(board, block, FitSettings.From(new() { SeatingFails = fails, SeatingPasses = passes })).Verdict;
        Assert.Equal(Verdict.Unproven, With(0.05, 0.95));
        Assert.Equal(Verdict.Seats, With(0.01, chance - 0.01));
        Assert.Equal(Verdict.Clashes, With(chance + 0.01, 0.99));
    }
}
