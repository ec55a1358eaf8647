using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Pads;
using Xunit;

namespace FaithfulBracket.Core.Tests;

public class PadWayTests
{
    private static double? Of(double? stated, double? claimed, double? contact) =>
        PadWay.KPerW(
            Sample.Soft with
            {
                ConductivityWPerMK = stated,
                ClaimedWPerMK = claimed,
                ContactMm2KPerW = contact,
            },
            0.7,
            168
        );

    [Fact]
    public void Bulk_and_two_faces_what_was_measured_before_what_is_claimed()
    {
        // 0.7 mm of 3 W/(m·K) over 168 mm²: 1.389 K/W; each face 12 mm²·K/W
        Assert.Equal(0.7e-3 / (3 * 168e-6) + 2 * 12 / 168.0, Of(3, 8, 12)!.Value, 9);
        Assert.Equal(0.7e-3 / (8 * 168e-6) + 2 * 12 / 168.0, Of(null, 8, 12)!.Value, 9);
        Assert.Equal(0.7e-3 / (3 * 168e-6) + 2 * 10 / 168.0, Of(3, null, null)!.Value, 9);
        Assert.Null(Of(null, null, 12));
    }
}
