using FaithfulBracket.Server.Shop;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Stations;

/// <summary>The contact passport of a job; changes nothing.</summary>
internal static class PassportEndpoint
{
    public static void Map(IEndpointRouteBuilder app)
    {
        app.MapGet(
                "/api/jobs/{id:long}/passport",
                (long id, Passports passports, CancellationToken cancel) =>
                    TypedResults.Ok(passports.Create(id, cancel))
            )
            .WithTags("jobs");
        app.MapGet(
                "/api/jobs/{id:long}/proved-lands",
                (long id, ProvedLands lands, CancellationToken cancel) => TypedResults.Ok(lands.Compute(id, cancel))
            )
            .WithTags("jobs");
    }
}
