import { configureStore } from '@reduxjs/toolkit';
import { useDispatch, useSelector } from 'react-redux';
import { baseApi } from './api/base-api.ts';
import { connectionReducer } from './offline/connection-slice.ts';
import { plannerReducer } from './plans/planner-slice.ts';
import { keepSettings, settingsReducer } from './settings/settings-slice.ts';

export const store = configureStore({
  reducer: { api: baseApi.reducer, connection: connectionReducer, settings: settingsReducer, planner: plannerReducer },
  middleware: (defaults) => defaults().concat(baseApi.middleware),
});
store.subscribe(() => keepSettings(store.getState().settings));

export type RootState = ReturnType<typeof store.getState>;
export const useAppDispatch = useDispatch.withTypes<typeof store.dispatch>();
export const useAppSelector = useSelector.withTypes<RootState>();
