import { Route, Routes } from 'react-router';
import { AccountScreen } from './AccountScreen.tsx';
import { CertificatePage } from './CertificatePage.tsx';
import { ExerciseScreen } from './ExerciseScreen.tsx';
import { HallScreen } from './HallScreen.tsx';
import { TeamScreen } from './TeamScreen.tsx';
import './practice.css';

/** The rooms of practice. */
export function PracticeScreens() {
  return (
    <Routes>
      <Route index element={<HallScreen />} />
      <Route path="account/:id" element={<AccountScreen />} />
      <Route path="exercise" element={<ExerciseScreen />} />
      <Route path="exercise/:skill" element={<ExerciseScreen />} />
      <Route path="team" element={<TeamScreen />} />
      <Route path="certificate/:id" element={<CertificatePage />} />
    </Routes>
  );
}
