import MoreIcon from '@mui/icons-material/MoreHorizOutlined';
import CalculateIcon from '@mui/icons-material/CalculateOutlined';
import HandymanIcon from '@mui/icons-material/HandymanOutlined';
import LightModeIcon from '@mui/icons-material/LightModeOutlined';
import MenuBookIcon from '@mui/icons-material/MenuBookOutlined';
import NightlightIcon from '@mui/icons-material/NightlightOutlined';
import ScheduleIcon from '@mui/icons-material/ScheduleOutlined';
import StraightenIcon from '@mui/icons-material/StraightenOutlined';
import TableRowsIcon from '@mui/icons-material/TableRowsOutlined';
import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import { type ComponentType, useState } from 'react';
import { NavLink, Outlet } from 'react-router';
import { WayOut } from '../access/WayOut';
import { preferred } from '../app/preferences';
import { useAppDispatch, useAppSelector } from '../app/store';
import { NewerProgram } from '../keeping/NewerProgram';
import { KeepingNotices } from '../keeping/KeepingNotices';
import { RailButton, railItem } from './RailButton';
import { TourCard } from '../tour/TourCard';
import { Help } from './Help';

const RAIL_PX = 84;

interface Place {
  readonly to: string;
  readonly name: string;
  readonly Icon: ComponentType;
}

const PLACES: readonly Place[] = [
  { to: '/', name: 'Today', Icon: ScheduleIcon },
  { to: '/builds', name: 'Builds', Icon: TableRowsIcon },
  { to: '/shop', name: 'Shop', Icon: HandymanIcon },
  { to: '/logbook', name: 'Logbook', Icon: MenuBookIcon },
  { to: '/sums', name: 'Sums', Icon: CalculateIcon },
];

/** The five places along the left edge, on a telephone along the foot, around whichever screen is open. */
export function Frame() {
  return (
    <Box
      sx={{
        display: 'flex',
        flexDirection: { xs: 'column-reverse', sm: 'row' },
        height: '100dvh',
        overflow: 'hidden',
      }}
    >
      <Box
        component="a"
        href="#content"
        sx={{
          position: 'absolute',
          left: -9999,
          '&:focus': { left: 8, top: 8, zIndex: 10, bgcolor: 'background.paper', p: 1 },
        }}
      >
        Skip to the content
      </Box>
      <Rail />
      <Box
        component="main"
        id="content"
        tabIndex={-1}
        sx={{
          flex: 1,
          minWidth: 0,
          minHeight: 0,
          overflow: 'auto',
          outline: 'none',
          bgcolor: 'background.default',
        }}
      >
        <KeepingNotices />
        <Outlet />
      </Box>
      <TourCard />
      <NewerProgram />
    </Box>
  );
}

/** Side by side along the foot of a telephone, below each other elsewhere. */
const inARow = {
  display: { xs: 'grid', sm: 'block' },
  gridAutoFlow: 'column',
  gridAutoColumns: '1fr',
} as const;

function Rail() {
  const [more, setMore] = useState(false);
  return (
    <Box
      component="header"
      className="no-print"
      sx={(theme) => ({
        width: { xs: '100%', sm: RAIL_PX },
        flexShrink: 0,
        display: 'flex',
        // What there is more of comes up above the places.
        flexDirection: { xs: 'column-reverse', sm: 'column' },
        bgcolor: theme.palette.tokens.rail,
        color: theme.palette.tokens.railText,
      })}
    >
      <Box
        aria-hidden
        sx={{
          display: { xs: 'none', sm: 'block' },
          color: 'secondary.main',
          fontWeight: 800,
          fontSize: '1.25rem',
          textAlign: 'center',
          py: 1.5,
        }}
      >
        LC
      </Box>
      <Box component="nav" aria-label="Places" sx={{ ...inARow, flex: 1 }}>
        {PLACES.map(({ to, name, Icon }) => (
          <ButtonBase
            key={to}
            component={NavLink}
            to={to}
            end={to === '/'}
            sx={{
              ...railItem,
              '&.active': {
                borderColor: 'secondary.main',
                bgcolor: 'rgb(255 255 255 / 0.09)',
                fontWeight: 700,
              },
            }}
          >
            <Icon />
            {name}
          </ButtonBase>
        ))}
        <ButtonBase
          aria-expanded={more}
          onClick={() => setMore(!more)}
          sx={{ ...railItem, display: { xs: 'flex', sm: 'none' } }}
        >
          <MoreIcon />
          More
        </ButtonBase>
      </Box>
      <Box sx={{ ...inARow, display: { xs: more ? 'grid' : 'none', sm: 'block' } }}>
        <Help />
        <Preferences />
        <WayOut />
      </Box>
    </Box>
  );
}

function Preferences() {
  const dispatch = useAppDispatch();
  const { units, theme } = useAppSelector((state) => state.preferences);
  const metric = units === 'metric';
  const day = theme === 'day';
  return (
    <>
      <RailButton
        label={`Units: ${metric ? 'millimetres' : 'inches'}. Change.`}
        onClick={() => dispatch(preferred({ units: metric ? 'imperial' : 'metric' }))}
      >
        <StraightenIcon />
        {metric ? 'mm' : 'inches'}
      </RailButton>
      <RailButton
        label={`Theme: ${day ? 'day' : 'lamp'}. Change.`}
        onClick={() => dispatch(preferred({ theme: day ? 'lamp' : 'day' }))}
      >
        {day ? <LightModeIcon /> : <NightlightIcon />}
        {day ? 'day' : 'lamp'}
      </RailButton>
    </>
  );
}
