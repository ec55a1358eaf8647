using System.Runtime.CompilerServices;
using Dapper;

namespace FaithfulBracket.Store;

internal static class ColumnNames
{
    /// <summary>board_id in SQL is BoardId in C#.</summary>
    [ModuleInitializer]
    internal static void Match() => DefaultTypeMap.MatchNamesWithUnderscores = true;
}
