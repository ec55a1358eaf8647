using System.Reflection;
using System.Runtime.Loader;

namespace FaithfulBracket.Mutants;

/// <summary>The built tests beside a core that holds every changed rule, one of which can be switched on.</summary>
internal sealed class ChangedCore
{
    /// <summary>Names the variable a fresh process takes its changed rule from.</summary>
    public const string NamesVariable = "STRYKER_MUTANT_ID_CONTROL_VAR",
        Variable = "FB_MUTANT";

    private readonly FieldInfo _active,
        _watch;
    private readonly MethodInfo _covered;

    /// <param name="folder">Where the tests were built.</param>
    public ChangedCore(string folder)
    {
        var main = Path.Combine(folder, "FaithfulBracket.Core.Tests.dll");
        var resolver = new AssemblyDependencyResolver(main);
        var context = AssemblyLoadContext.Default;
        context.Resolving += (c, name) =>
            resolver.ResolveAssemblyToPath(name) is { } path ? c.LoadFromAssemblyPath(path) : null;
        context.ResolvingUnmanagedDll += (_, name) =>
            resolver.ResolveUnmanagedDllToPath(name) is { } path
                ? System.Runtime.InteropServices.NativeLibrary.Load(path)
                : 0;
        Tests = context.LoadFromAssemblyPath(main);
        var core = context.LoadFromAssemblyPath(Path.Combine(folder, "FaithfulBracket.Core.dll"));
        var control = core.GetTypes().Single(t => t.Name == "MutantControl");
        _active = control.GetField("ActiveMutant")!;
        _watch = control.GetField("CaptureCoverage")!;
        _covered = control.GetMethod("GetCoverageData")!;
    }

    public Assembly Tests { get; }

    public void SwitchOn(int id) => _active.SetValue(null, id);

    /// <summary>Rules that a test runs through.</summary>
    public IReadOnlyList<int> Covered(Action test)
    {
        _covered.Invoke(null, null);
        _watch.SetValue(null, true);
        try
        {
            test();
        }
        finally
        {
            _watch.SetValue(null, false);
        }
        return [.. ((IList<int>[])_covered.Invoke(null, null)!).SelectMany(l => l).Distinct()];
    }
}
