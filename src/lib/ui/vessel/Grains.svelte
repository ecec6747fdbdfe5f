<!-- @component The drawn grain of each sediment, defined once for the page: stones, stipple, short dashes, level lines, flecks. -->
<svg class="absolute" width="0" height="0" aria-hidden="true" focusable="false">
  <defs>
    <pattern id="grain-gravel" width="34" height="22" patternUnits="userSpaceOnUse">
      <rect width="34" height="22" fill="var(--gravel)" />
      <g fill="none" stroke="var(--gravel-grain)" stroke-width="1.6">
        <ellipse cx="9" cy="6" rx="7.500" ry="4.500" />
        <ellipse cx="26" cy="8" rx="6" ry="5" />
        <ellipse cx="4" cy="17" rx="5" ry="3.500" />
        <ellipse cx="17" cy="17" rx="6.500" ry="3.800" />
        <ellipse cx="31" cy="18.500" rx="4.500" ry="3" />
      </g>
    </pattern>
    <pattern id="grain-sand" width="23" height="19" patternUnits="userSpaceOnUse">
      <rect width="23" height="19" fill="var(--sand)" />
      <g fill="var(--sand-grain)">
        <circle cx="3" cy="4" r="1.3" />
        <circle cx="11" cy="2.500" r="0.9" />
        <circle cx="18" cy="6" r="1.4" />
        <circle cx="7" cy="10" r="1.1" />
        <circle cx="14.500" cy="12" r="1.3" />
        <circle cx="21" cy="14.500" r="0.9" />
        <circle cx="4" cy="16" r="1.2" />
        <circle cx="11" cy="17" r="0.8" />
      </g>
    </pattern>
    <pattern id="grain-coarse" width="30" height="24" patternUnits="userSpaceOnUse">
      <rect width="30" height="24" fill="var(--sand)" />
      <g fill="var(--sand-grain)">
        <circle cx="5" cy="5" r="2.4" />
        <circle cx="17" cy="4" r="1.9" />
        <circle cx="26" cy="9" r="2.5" />
        <circle cx="10" cy="13" r="2.1" />
        <circle cx="20" cy="16" r="2.4" />
        <circle cx="4" cy="20" r="1.9" />
        <circle cx="13" cy="21" r="1.5" />
      </g>
    </pattern>
    <pattern id="grain-skin" width="30" height="10" patternUnits="userSpaceOnUse">
      <rect width="30" height="10" fill="var(--organics)" />
      <g stroke="var(--paper)" stroke-width="1" stroke-linecap="round" opacity="0.5">
        <path d="M3 4l4-1M13 7l3 1M21 3l4 1M27 8l2-1" />
      </g>
    </pattern>
    <pattern id="grain-surface" width="30" height="10" patternUnits="userSpaceOnUse">
      <rect width="30" height="10" fill="var(--clear)" />
    </pattern>
    <pattern id="grain-silt" width="26" height="14" patternUnits="userSpaceOnUse">
      <rect width="26" height="14" fill="var(--silt)" />
      <g stroke="var(--silt-grain)" stroke-width="1.3" stroke-linecap="round">
        <path d="M2 3h5M14 2.500h4M22 5h3M8 7h5M17 8.500h6M1 10.500h4M10 12h6" />
      </g>
    </pattern>
    <pattern id="grain-clay" width="60" height="6" patternUnits="userSpaceOnUse">
      <rect width="60" height="6" fill="var(--clay)" />
      <path d="M0 1.500h60M0 4.500h60" stroke="var(--clay-grain)" stroke-width="0.8" />
    </pattern>
    <pattern id="grain-organics" width="30" height="10" patternUnits="userSpaceOnUse">
      <g stroke="var(--organics)" stroke-width="1.6" stroke-linecap="round">
        <path d="M3 4l4-1M13 7l3 1M21 3l4 1M27 8l2-1" />
      </g>
    </pattern>
    <pattern id="grain-dry" width="24" height="20" patternUnits="userSpaceOnUse">
      <rect width="24" height="20" fill="var(--silt)" />
      <g fill="var(--silt-grain)">
        <circle cx="4" cy="5" r="2.2" />
        <circle cx="15" cy="4" r="1.2" />
        <circle cx="20" cy="11" r="2" />
        <circle cx="9" cy="13" r="1.5" />
        <circle cx="3" cy="17" r="1" />
        <circle cx="16" cy="17" r="1.7" />
      </g>
    </pattern>
  </defs>
</svg>
