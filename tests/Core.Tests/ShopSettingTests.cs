using FaithfulBracket.Core.Orders;
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
        // a block's claim is set at the block; prices are several of one record
        Assert.Equal(
            properties.Select(p => p.Name).Where(n => n != nameof(ShopSettings.Claims)).Order(),
            touched.Distinct().Order()
        );
        Assert.Equal(
            touched.Where(n => n != nameof(ShopSettings.Prices)),
            touched.Where(n => n != nameof(ShopSettings.Prices)).Distinct()
        );
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
}
