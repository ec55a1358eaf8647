using FaithfulBracket.Core.Materials;

namespace FaithfulBracket.Core.Orders;

/// <summary>
/// The drawer as the shop uses it: what is stated, within what the shop accepts, with what it takes where nothing is stated.
/// </summary>
public static class UsedDrawer
{
    public static Drawer As(this Drawer stated, ShopSettings shop) =>
        stated with
        {
            Materials =
            [
                .. stated.Materials.Select(m =>
                    m.Within(shop.SquashLeast, shop.SquashMost).Taken(shop.PadFaceMm2KPerW, shop.PadClaimShare)
                ),
            ],
        };
}
