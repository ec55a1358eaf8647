using FaithfulBracket.Core.Heat;
using FaithfulBracket.Core.Orders;

namespace FaithfulBracket.Core.Prove;

/// <summary>Under what a job's parts are expected: as they were measured, or as the shop usually runs them.</summary>
public static class JobConditions
{
    /// <param name="after">The last after reading; null before there is one.</param>
    public static HeatConditions Of(Reading? after, ShopSettings shop) =>
        after is { CoolantC: { } coolant }
            ? new(after.PowerW, coolant, after.FlowLMin ?? shop.FlowLPerMin)
            : new(null, shop.CoolantInC, shop.FlowLPerMin);
}
