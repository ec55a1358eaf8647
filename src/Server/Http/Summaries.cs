using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Stations;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Http;

/// <summary>
/// After a change of one job its entry in the bench index is made anew before the answer goes out. The change stands
/// by then: where the entry cannot be written it is made later, and the answer says what was changed all the same.
/// </summary>
internal static class Summaries
{
    public static async ValueTask<object?> RenewAsync(
        EndpointFilterInvocationContext context,
        EndpointFilterDelegate next
    )
    {
        var result = await next(context);
        if (HttpMethods.IsGet(context.HttpContext.Request.Method))
            return result;
        var id =
            result is Created<Opened> { Value: { } opened }
            && !context.HttpContext.Request.RouteValues.ContainsKey("id")
                ? opened.Id
                : long.Parse(
                    (string)context.HttpContext.Request.RouteValues["id"]!,
                    System.Globalization.CultureInfo.InvariantCulture
                );
        context.HttpContext.RequestServices.GetRequiredService<BenchSummaries>().RenewOrLater(id);
        return result;
    }
}
